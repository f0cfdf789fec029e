@echo off
rem Starts Nexa on Windows (untested). Needs JAVA_HOME set to a JDK 25 and Maven on the PATH.
setlocal
set "HOME_DIR=%~dp0"
if not exist "%JAVA_HOME%\bin\javac.exe" (
  echo Nexa needs a JDK 25: set JAVA_HOME to it. 1>&2
  exit /b 2
)
if "%1"=="test" (
  pushd "%HOME_DIR%"
  call mvn -B -ntp verify
  exit /b
)
if not exist "%HOME_DIR%cli\target\lib" (
  echo Building Nexa ... 1>&2
  pushd "%HOME_DIR%"
  call mvn -q -B -DskipTests -Dspotless.check.skip=true package || exit /b 2
  popd
)
"%JAVA_HOME%\bin\java" -Dnexa.home="%HOME_DIR%." -Xmx1g --enable-native-access=ALL-UNNAMED,javafx.graphics ^
  --module-path "%HOME_DIR%cli\target\javafx" --add-modules javafx.controls ^
  -cp "%HOME_DIR%cli\target\nexa-cli-0.1.0.jar;%HOME_DIR%cli\target\lib\*" nexa.cli.Main %*
