#!/usr/bin/env bash
# Puts together what ships with the application under which licence: META-INF/NOTICE, and /notice.txt in the application.
set -euo pipefail
cd "$(dirname "$0")"
classes=target/classes
mkdir -p "$classes/META-INF" "$classes/static"
cat ../NOTICE "$classes/META-INF/third-party-java.txt" <(echo) ../web/dist/third-party-web.txt > "$classes/META-INF/NOTICE"
cp "$classes/META-INF/NOTICE" "$classes/static/notice.txt"
