@echo off
rem Starts Zebrawood with a Java 25 that is installed: that of JAVA_HOME, or the one on the path.
setlocal
set "java=java"
if defined JAVA_HOME set "java=%JAVA_HOME%\bin\java"
"%java%" --version 2>nul | findstr /r /c:"^[a-z]* 2[5-9]" >nul
if errorlevel 1 (
  echo Zebrawood needs Java 25: install it, or set JAVA_HOME to where it is. 1>&2
  exit /b 2
)
"%java%" -XX:+UseSerialGC -Djava.awt.headless=true --enable-native-access=ALL-UNNAMED,javafx.graphics --module-path "%~dp0toolkit" --add-modules javafx.controls -cp "%~dp0lib\*" zebrawood.desktop.app.Zebrawood %*
