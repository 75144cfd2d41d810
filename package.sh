#!/bin/sh
# Makes what a shop installs: a portable archive, and on Debian a package. Called by ./finebore package.
set -eu
jdk=$1
here=$2
app=$3
version=0.1.0
out="$here/target/package"
rm -rf "$out"
mkdir -p "$out/input"
cp "$app"/*.jar "$out/input/"
modules=java.base,java.desktop,java.logging,java.net.http,java.sql,java.xml,java.naming,jdk.unsupported,jdk.jfr,jdk.localedata
"$jdk/bin/jlink" --add-modules "$modules" --include-locales=en,de --strip-debug --no-header-files --no-man-pages \
  --compress zip-6 --output "$out/runtime"
common="--name finebore --app-version $version --vendor FineBore --input $out/input --main-jar $(basename "$(ls "$out"/input/finebore-desk-*.jar)") \
  --main-class finebore.desk.Main --runtime-image $out/runtime --icon $here/desk/src/package/finebore.png"
mkdir -p "$out/licences"
cp "$here/LICENSE" "$here/NOTICE" "$out/licences/"
cp "$here"/desk/src/main/resources/finebore/desk/theme/fonts/*LICENSE* "$out/licences/"
# shellcheck disable=SC2086
"$jdk/bin/jpackage" --type app-image --dest "$out/image" $common \
  --arguments open --java-options "--enable-native-access=ALL-UNNAMED -XX:+UseSerialGC" \
  --app-content "$out/licences" --description "Plans valve seats and what they do to flow"
tar -C "$out/image" -czf "$out/finebore-$version-$(uname -s | tr 'A-Z' 'a-z')-$(uname -m).tar.gz" finebore
if command -v dpkg-deb >/dev/null 2>&1 && command -v fakeroot >/dev/null 2>&1; then
  "$jdk/bin/jpackage" --type deb --dest "$out" --app-image "$out/image/finebore" --name finebore --app-version "$version" \
    --license-file "$here/LICENSE" --linux-shortcut --linux-menu-group "Science;Engineering" --icon "$here/desk/src/package/finebore.png" \
    --file-associations "$here/desk/src/package/job.properties" --resource-dir "$here/desk/src/package" --description "Plans valve seats and what they do to flow"
else
  echo "finebore: no .deb is made, for dpkg-deb or fakeroot is missing" >&2
fi
# It has to start where nothing else is: no JDK in sight, a home of its own.
trial=$(mktemp -d)
if [ -f "$out/finebore_${version}_amd64.deb" ]; then
  dpkg -x "$out/finebore_${version}_amd64.deb" "$trial"
  start="$trial/opt/finebore/bin/finebore"
else
  tar -C "$trial" -xzf "$out"/finebore-*.tar.gz
  start="$trial/finebore/bin/finebore"
fi
env -i HOME="$trial" JAVA_TOOL_OPTIONS="-Dglass.platform=Headless -Dprism.order=sw" "$start" demo --shot "$trial/plan.png" >"$trial/log" 2>&1 || true
if [ ! -s "$trial/plan.png" ]; then
  cat "$trial/log" >&2
  echo "finebore: what was packed does not start" >&2
  exit 5
fi
rm -rf "$trial" "$out/input" "$out/runtime" "$out/licences"
ls -l "$out" | awk 'NR > 1 && $9 ~ /finebore/ {print $9, $5}'
