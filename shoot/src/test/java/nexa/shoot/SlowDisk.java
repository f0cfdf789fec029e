package nexa.shoot;

import java.io.IOException;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.net.URI;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.AccessMode;
import java.nio.file.CopyOption;
import java.nio.file.DirectoryStream;
import java.nio.file.FileStore;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.OpenOption;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.nio.file.WatchService;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.FileAttributeView;
import java.nio.file.attribute.UserPrincipalLookupService;
import java.nio.file.spi.FileSystemProvider;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * A folder as a slow network disk or a card shows it: every operation takes a while, bytes come slowly, nobody tells of
 * changes, and it can be pulled out. A layer over the real file system.
 */
final class SlowDisk extends FileSystem {
    private final FileSystem real = FileSystems.getDefault();
    private final Provider provider = new Provider();
    private final long latencyNanos;
    private final long bytesPerSecond;
    private final AtomicInteger opened = new AtomicInteger();
    private volatile boolean pulled;

    SlowDisk(long latencyMillis, long bytesPerSecond) {
        this.latencyNanos = latencyMillis * 1_000_000;
        this.bytesPerSecond = bytesPerSecond;
    }

    /** A real folder, seen through this disk. */
    Path over(Path folder) {
        return (Path) Proxy.newProxyInstance(
                SlowDisk.class.getClassLoader(), new Class<?>[] {Path.class}, new SlowPath(folder));
    }

    /** How many files were opened. */
    int opened() {
        return opened.get();
    }

    void pullOut() {
        pulled = true;
    }

    void putBack() {
        pulled = false;
    }

    private void operate() throws IOException {
        if (pulled) {
            throw new IOException("the disk is gone");
        }
        LockSupport.parkNanos(latencyNanos);
    }

    private static Path real(Path path) {
        return Proxy.isProxyClass(path.getClass()) && Proxy.getInvocationHandler(path) instanceof SlowPath slow
                ? slow.real
                : path;
    }

    private final class SlowPath implements InvocationHandler {
        private final Path real;

        SlowPath(Path real) {
            this.real = real;
        }

        @Override
        public Object invoke(Object proxy, Method method, Object[] arguments) throws Throwable {
            return switch (method.getName()) {
                case "getFileSystem" -> SlowDisk.this;
                case "toFile", "register" -> throw new UnsupportedOperationException(method.getName());
                case "iterator" -> parts();
                default -> passedOn(method, arguments);
            };
        }

        private Iterator<Path> parts() {
            List<Path> parts = new ArrayList<>();
            real.forEach(part -> parts.add(over(part)));
            return parts.iterator();
        }

        private Object passedOn(Method method, Object[] arguments) throws Throwable {
            Object[] plain = arguments == null ? null : arguments.clone();
            for (int i = 0; plain != null && i < plain.length; i++) {
                plain[i] = plain[i] instanceof Path path ? real(path) : plain[i];
            }
            try {
                Object result = method.invoke(real, plain);
                return result instanceof Path path ? over(path) : result;
            } catch (InvocationTargetException thrown) {
                throw thrown.getCause();
            }
        }
    }

    private final class Provider extends FileSystemProvider {
        @Override
        public SeekableByteChannel newByteChannel(
                Path path, Set<? extends OpenOption> options, FileAttribute<?>... attributes) throws IOException {
            operate();
            opened.incrementAndGet();
            return new SlowChannel(Files.newByteChannel(real(path), options, attributes));
        }

        @Override
        public FileChannel newFileChannel(Path path, Set<? extends OpenOption> options, FileAttribute<?>... attributes)
                throws IOException {
            operate();
            opened.incrementAndGet();
            return FileChannel.open(real(path), options, attributes);
        }

        @Override
        public DirectoryStream<Path> newDirectoryStream(Path dir, DirectoryStream.Filter<? super Path> filter)
                throws IOException {
            operate();
            List<Path> entries = new ArrayList<>();
            try (DirectoryStream<Path> stream = Files.newDirectoryStream(real(dir))) {
                for (Path entry : stream) {
                    Path slow = over(entry);
                    if (filter.accept(slow)) {
                        entries.add(slow);
                    }
                }
            }
            return new DirectoryStream<>() {
                @Override
                public Iterator<Path> iterator() {
                    return entries.iterator();
                }

                @Override
                public void close() {}
            };
        }

        @Override
        public <A extends BasicFileAttributes> A readAttributes(Path path, Class<A> type, LinkOption... options)
                throws IOException {
            operate();
            return Files.readAttributes(real(path), type, options);
        }

        @Override
        public Map<String, Object> readAttributes(Path path, String attributes, LinkOption... options)
                throws IOException {
            operate();
            return Files.readAttributes(real(path), attributes, options);
        }

        @Override
        public void createDirectory(Path dir, FileAttribute<?>... attributes) throws IOException {
            operate();
            Files.createDirectory(real(dir), attributes);
        }

        @Override
        public void delete(Path path) throws IOException {
            throw new AssertionError("nothing is deleted on the disk");
        }

        @Override
        public void copy(Path source, Path target, CopyOption... options) {
            throw new AssertionError("nothing is copied on the disk");
        }

        @Override
        public void move(Path source, Path target, CopyOption... options) {
            throw new AssertionError("nothing is moved on the disk");
        }

        @Override
        public boolean isSameFile(Path a, Path b) throws IOException {
            return Files.isSameFile(real(a), real(b));
        }

        @Override
        public boolean isHidden(Path path) throws IOException {
            return Files.isHidden(real(path));
        }

        @Override
        public FileStore getFileStore(Path path) throws IOException {
            return Files.getFileStore(real(path));
        }

        @Override
        public void checkAccess(Path path, AccessMode... modes) throws IOException {
            operate();
            real.provider().checkAccess(real(path), modes);
        }

        @Override
        public <V extends FileAttributeView> V getFileAttributeView(Path path, Class<V> type, LinkOption... options) {
            return Files.getFileAttributeView(real(path), type, options);
        }

        @Override
        public void setAttribute(Path path, String attribute, Object value, LinkOption... options) {
            throw new AssertionError("nothing is changed on the disk");
        }

        @Override
        public String getScheme() {
            return "slow";
        }

        @Override
        public FileSystem newFileSystem(URI uri, Map<String, ?> environment) {
            throw new UnsupportedOperationException();
        }

        @Override
        public FileSystem getFileSystem(URI uri) {
            throw new UnsupportedOperationException();
        }

        @Override
        public Path getPath(URI uri) {
            throw new UnsupportedOperationException();
        }
    }

    /** Bytes come at the disk's rate; a card pulled out ends the reading. */
    private final class SlowChannel implements SeekableByteChannel {
        private final SeekableByteChannel channel;

        SlowChannel(SeekableByteChannel channel) {
            this.channel = channel;
        }

        @Override
        public int read(ByteBuffer buffer) throws IOException {
            if (pulled) {
                throw new IOException("the disk is gone");
            }
            int read = channel.read(buffer);
            LockSupport.parkNanos(Math.max(0, read) * 1_000_000_000L / bytesPerSecond);
            return read;
        }

        @Override
        public int write(ByteBuffer buffer) throws IOException {
            return channel.write(buffer);
        }

        @Override
        public long position() throws IOException {
            return channel.position();
        }

        @Override
        public SeekableByteChannel position(long position) throws IOException {
            channel.position(position);
            return this;
        }

        @Override
        public long size() throws IOException {
            return channel.size();
        }

        @Override
        public SeekableByteChannel truncate(long size) throws IOException {
            throw new AssertionError("no photo is made shorter");
        }

        @Override
        public boolean isOpen() {
            return channel.isOpen();
        }

        @Override
        public void close() throws IOException {
            channel.close();
        }
    }

    @Override
    public FileSystemProvider provider() {
        return provider;
    }

    @Override
    public void close() {}

    @Override
    public boolean isOpen() {
        return true;
    }

    @Override
    public boolean isReadOnly() {
        return false;
    }

    @Override
    public String getSeparator() {
        return real.getSeparator();
    }

    @Override
    public Iterable<Path> getRootDirectories() {
        return List.of();
    }

    @Override
    public Iterable<FileStore> getFileStores() {
        return List.of();
    }

    @Override
    public Set<String> supportedFileAttributeViews() {
        return real.supportedFileAttributeViews();
    }

    @Override
    public Path getPath(String first, String... more) {
        return over(real.getPath(first, more));
    }

    @Override
    public PathMatcher getPathMatcher(String pattern) {
        throw new UnsupportedOperationException();
    }

    @Override
    public UserPrincipalLookupService getUserPrincipalLookupService() {
        throw new UnsupportedOperationException();
    }

    @Override
    public WatchService newWatchService() {
        throw new UnsupportedOperationException("a network disk tells of no changes");
    }
}
