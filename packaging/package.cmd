@echo off
rem Makes an installer for Windows (.msi) in target\package. Untried: nobody here has Windows.
rem Needs JAVA_HOME set to a JDK 25 with jpackage, the WiX tools on the PATH, and a finished build (nexa.cmd builds one).
setlocal
set "HOME_DIR=%~dp0.."
set "OUT=%HOME_DIR%\target\package"
if not exist "%JAVA_HOME%\bin\jpackage.exe" (
  echo This needs a JDK 25 with jpackage: set JAVA_HOME to it. 1>&2
  exit /b 2
)
if not exist "%HOME_DIR%\cli\target\lib" (
  echo Nexa is not built yet: call nexa.cmd --version first. 1>&2
  exit /b 2
)
if exist "%OUT%" rmdir /s /q "%OUT%"
mkdir "%OUT%\input\demo"
copy /y "%HOME_DIR%\cli\target\nexa-cli-0.1.0.jar" "%OUT%\input" > nul
copy /y "%HOME_DIR%\cli\target\lib\*.jar" "%OUT%\input" > nul
copy /y "%HOME_DIR%\LICENSE" "%OUT%\input" > nul
copy /y "%HOME_DIR%\docs\licences.md" "%OUT%\input" > nul
xcopy /e /i /q "%HOME_DIR%\demo\fennick-kiln" "%OUT%\input\demo\fennick-kiln" > nul
"%JAVA_HOME%\bin\jlink" --module-path "%HOME_DIR%\cli\target\javafx" --output "%OUT%\runtime" --strip-debug --no-header-files --no-man-pages ^
  --generate-cds-archive --add-modules java.se,jdk.unsupported,jdk.zipfs,jdk.charsets,jdk.localedata,javafx.controls --include-locales en,de || exit /b 2
"%JAVA_HOME%\bin\jpackage" --type msi --name Nexa --app-version 1.0.0 --dest "%OUT%" --input "%OUT%\input" --runtime-image "%OUT%\runtime" ^
  --main-jar nexa-cli-0.1.0.jar --main-class nexa.cli.Main --vendor Nexa --description "Crops whole shoots: every format, every photo" ^
  --file-associations "%HOME_DIR%\packaging\brief.properties" --win-menu --win-shortcut --win-dir-chooser --win-per-user-install ^
  --java-options "-Dnexa.home=$APPDIR" --java-options -Xmx1g --java-options -XX:+UseSerialGC ^
  --java-options -XX:MaxInlineLevel=9 --java-options -XX:FreqInlineSize=120 --java-options -XX:InlineSmallCode=1000 ^
  --java-options "--enable-native-access=ALL-UNNAMED,javafx.graphics" --java-options --sun-misc-unsafe-memory-access=allow || exit /b 2
echo The installer is in %OUT%
