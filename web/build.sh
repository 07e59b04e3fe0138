#!/usr/bin/env bash
# Builds the pages into web/dist, and only when something that goes into them has changed.
set -euo pipefail
cd "$(dirname "$0")"
node_ok() { node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' 2>/dev/null; }
tools="$PWD/../.data/tools/node_modules"
for dir in "$tools"/node-linux-*/bin; do [ -d "$dir" ] && ! node_ok && PATH="$dir:$PATH"; done
if [ ! -d node_modules ] || ! cmp -s package-lock.json node_modules/.installed-lock; then
  npm ci --no-audit --no-fund --loglevel=error
  cp package-lock.json node_modules/.installed-lock
fi
stamp=$(find src public index.html openapi.json package-lock.json ./*.ts ./*.mjs ./*.json -type f ! -path src/api/schema.ts -print0 2>/dev/null | sort -zu | xargs -0 sha256sum | sha256sum)
if [ -d dist ] && [ "$(cat dist/.stamp 2>/dev/null || true)" = "$stamp" ]; then exit 0; fi
npm run --silent build
echo "$stamp" > dist/.stamp
