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
# shellcheck disable=SC2086
"$jdk/bin/jpackage" --type app-image --dest "$out/image" $common \
  --arguments open --java-options "--enable-native-access=ALL-UNNAMED -XX:+UseSerialGC" \
  --description "Plans valve seats and what they do to flow"
mkdir -p "$out/image/finebore/licences"
cp "$here/LICENSE" "$here/NOTICE" "$out/image/finebore/licences/"
cp "$here"/desk/src/main/resources/finebore/desk/theme/fonts/*LICENSE* "$out/image/finebore/licences/"
tar -C "$out/image" -czf "$out/finebore-$version-$(uname -s | tr 'A-Z' 'a-z')-$(uname -m).tar.gz" finebore
if command -v dpkg-deb >/dev/null 2>&1 && command -v fakeroot >/dev/null 2>&1; then
  "$jdk/bin/jpackage" --type deb --dest "$out" --app-image "$out/image/finebore" --name finebore --app-version "$version" \
    --license-file "$here/LICENSE" --linux-shortcut --linux-menu-group "Science;Engineering" --icon "$here/desk/src/package/finebore.png" \
    --file-associations "$here/desk/src/package/job.properties" --description "Plans valve seats and what they do to flow"
else
  echo "finebore: no .deb is made, for dpkg-deb or fakeroot is missing" >&2
fi
rm -rf "$out/input" "$out/runtime"
ls -l "$out" | awk 'NR > 1 && $9 ~ /finebore/ {print $9, $5}'
