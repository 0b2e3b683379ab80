@echo off
rem Starts Yellow Tab on Windows: finds Java 25, builds when there is no build yet, then runs without Maven.
setlocal EnableDelayedExpansion
set "HERE=%~dp0"
set "JDK="
for %%J in ("%YELLOWTAB_JDK%" "%JAVA_HOME%") do if not defined JDK if exist "%%~J\bin\javac.exe" call :check "%%~J"
for /d %%J in ("%ProgramFiles%\Eclipse Adoptium\jdk-25*" "%ProgramFiles%\Java\jdk-25*" "%ProgramFiles%\Microsoft\jdk-25*") do if not defined JDK if exist "%%~J\bin\javac.exe" call :check "%%~J"
if not defined JDK (
  echo Yellow Tab needs a JDK 25 and found none. Install one, for example Temurin 25, or point JAVA_HOME at it, then start again. 1>&2
  exit /b 1
)
set "JAVA_HOME=%JDK%"
if "%~1"=="test" (
  cd /d "%HERE%" && mvn -B verify
  exit /b !errorlevel!
)
if not exist "%HERE%target\built" (
  echo Building Yellow Tab, the first time takes some minutes ... 1>&2
  if not exist "%HERE%target" mkdir "%HERE%target"
  pushd "%HERE%"
  call mvn -q -B -DskipTests package || exit /b 1
  popd
  type nul > "%HERE%target\built"
)
set "QUIET=--enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow"
if "%~1"=="" goto window
if "%~1"=="demo" goto window
if "%~1"=="open" goto window
"%JDK%\bin\java" %QUIET% -Djava.awt.headless=true -Xmx768m -p "%HERE%cli\target\cli-0.1.0.jar;%HERE%cli\target\lib" --add-modules ALL-MODULE-PATH -m app.yellowtab.cli/app.yellowtab.cli.Main %*
exit /b %errorlevel%

:window
"%JDK%\bin\java" %QUIET% --enable-native-access=javafx.graphics -Djava.awt.headless=true -Xmx1g -p "%HERE%desktop\target\desktop-0.1.0.jar;%HERE%desktop\target\lib" --add-modules ALL-MODULE-PATH -m app.yellowtab.desktop/app.yellowtab.desktop.Main %*
exit /b %errorlevel%

:check
for /f "tokens=3" %%V in ('"%~1\bin\java" -version 2^>^&1 ^| findstr /i "version"') do (
  set "VERSION=%%~V"
  if "!VERSION:~0,2!"=="25" set "JDK=%~1"
)
exit /b 0
