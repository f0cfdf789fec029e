"""libvips at its fastest: each photo in one pipeline, no file in between, a process for each core.

Reads lines of tab-separated values: source, file to write, cosine and sine of the turn, left, top, width and height of the
part to keep in pixels of the turned photo, horizontal and vertical scale, JPEG quality.
"""
import ctypes
import multiprocessing
import os
import sys

os.environ["VIPS_CONCURRENCY"] = "1"
vips = ctypes.CDLL("libvips.so.42")
POINTER = ctypes.c_void_p
for function in ("vips_image_new_from_file", "vips_interpolate_new", "vips_array_int_new"):
    getattr(vips, function).restype = POINTER
END = POINTER(None)
vips.vips_init(b"nexa-bench")


def number(value):
    return ctypes.c_double(float(value))


def step(function, picture, *arguments):
    out = POINTER()
    if function(picture, ctypes.byref(out), *arguments, END):
        sys.exit("libvips refuses")
    return out


def deliver(line):
    source, file, cosine, sine, left, top, width, height, across, down, quality = line.rstrip("\n").split("\t")
    photo = POINTER(vips.vips_image_new_from_file(source.encode(), END))
    area = POINTER(vips.vips_array_int_new((ctypes.c_int * 4)(*map(int, (left, top, width, height))), 4))
    bicubic = POINTER(vips.vips_interpolate_new(b"bicubic"))
    turned = step(vips.vips_affine, photo, number(cosine), number(-float(sine)), number(sine), number(cosine),
                  b"interpolate", bicubic, b"oarea", area)
    reduced = step(vips.vips_resize, turned, number(across), b"vscale", number(down))
    if vips.vips_jpegsave(reduced, file.encode(), b"Q", ctypes.c_int(int(quality)), END):
        sys.exit("libvips can't write " + file)
    for held in (reduced, turned, photo, bicubic):
        vips.g_object_unref(held)


if __name__ == "__main__":
    with multiprocessing.Pool(os.cpu_count()) as pool:
        pool.map(deliver, open(sys.argv[1], encoding="utf-8"), 1)
