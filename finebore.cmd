@echo off
rem Starts Fine Bore, builds it first where needed, and runs its tests.
setlocal enabledelayedexpansion
set "HERE=%~dp0"
set "APP=%HERE%desk\target\app"
set "STAMP=%HERE%desk\target\app.stamp"

if "%~1"=="" goto usage
if "%~1"=="help" goto usage

set "JDK="
if defined JAVA_HOME call :try "%JAVA_HOME%"
if not defined JDK for /d %%D in ("%ProgramFiles%\Eclipse Adoptium\jdk-*" "%ProgramFiles%\Java\jdk-*" "%USERPROFILE%\.jdks\*") do if not defined JDK call :try "%%~D"
if not defined JDK (
  echo finebore: needs a JDK 25 or newer and found none in JAVA_HOME or the usual folders. 1>&2
  echo Install one, for example Eclipse Temurin 25, or set JAVA_HOME. 1>&2
  exit /b 3
)
set "JAVA_HOME=%JDK%"

if "%~1"=="test" (
  where mvn >nul 2>nul || (echo finebore: needs Apache Maven 3.8 or newer and found no mvn in the PATH. 1>&2 & exit /b 3)
  pushd "%HERE%" & call mvn -B --no-transfer-progress verify & set "CODE=!ERRORLEVEL!" & popd
  exit /b !CODE!
)

set "FRESH="
if exist "%STAMP%" for /f %%N in ('powershell -NoProfile -Command "$t=(Get-Item -LiteralPath '%STAMP%').LastWriteTime; @(Get-ChildItem -Recurse -File '%HERE%core\src\main','%HERE%formats\src\main','%HERE%words\src\main','%HERE%reports\src\main','%HERE%instruments\src\main','%HERE%cli\src\main','%HERE%desk\src\main','%HERE%pom.xml' | Where-Object LastWriteTime -gt $t).Count"') do if "%%N"=="0" set "FRESH=1"
if not defined FRESH (
  where mvn >nul 2>nul || (echo finebore: needs Apache Maven 3.8 or newer and found no mvn in the PATH. 1>&2 & exit /b 3)
  echo finebore: building, which takes a minute the first time ... 1>&2
  pushd "%HERE%" & call mvn -B -q --no-transfer-progress -DskipTests -pl desk -am package & set "CODE=!ERRORLEVEL!" & popd
  if not "!CODE!"=="0" (echo finebore: the build failed. 1>&2 & exit /b 3)
  type nul > "%STAMP%"
)

set "HEADLESS="
for %%A in (%*) do if "%%~A"=="--shot" set "HEADLESS=-Dglass.platform=Headless -Dprism.order=sw"
if "%~1"=="demo" goto desk
if "%~1"=="open" goto desk
"%JAVA_HOME%\bin\java" --module-path "%APP%" -m finebore.cli/finebore.cli.Commands %*
exit /b %ERRORLEVEL%

:desk
"%JAVA_HOME%\bin\java" --enable-native-access=javafx.graphics,com.fazecast.jSerialComm %HEADLESS% --module-path "%APP%" -m finebore.desk/finebore.desk.Main %*
exit /b %ERRORLEVEL%

:try
if not exist "%~1\release" exit /b
for /f "tokens=2 delims==." %%V in ('findstr /b JAVA_VERSION= "%~1\release"') do set "MAJOR=%%~V"
set "MAJOR=%MAJOR:"=%"
if %MAJOR% GEQ 25 set "JDK=%~1"
exit /b

:usage
echo Fine Bore: plans valve seats and what they do to flow.
echo   finebore demo [--shot OUT.png]
echo   finebore open [FILE]
echo   finebore study FILE [--group intake^|exhaust] [--plan found^|planned] [--format text^|csv^|json]
echo   finebore bench FILE [--compare A B] [--format text^|csv^|json]
echo   finebore import FILE TEST.csv [--seat I1] [--state found^|finished^|blended]
echo   finebore cutsheet FILE -o OUT.csv^|OUT.txt
echo   finebore air FILE --seat I1 --lift 3 -o OUT.png^|svg^|csv^|json
echo   finebore schema
echo   finebore example FILE
echo   finebore test
exit /b 0
