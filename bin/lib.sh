# What the commands share: where things are, what must be installed, and when to build. Sourced, not run.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
data="$root/.data"

say() { printf '%s\n' "$*" >&2; }

# Installs Debian packages when root; otherwise says what is missing.
need() { # what it is for, then the packages
  local what=$1; shift
  if [ "$(id -u)" != 0 ]; then
    say "Missing: $what. Install it and start again, on Debian: sudo apt-get install $*"; exit 1
  fi
  say "Installing $what …"
  if [[ " $* " == *" postgresql"* ]]; then
    # Debian would make and start a cluster of its own; only the programs are wanted.
    mkdir -p /etc/postgresql-common
    grep -qs '^create_main_cluster' /etc/postgresql-common/createcluster.conf ||
      echo 'create_main_cluster = false' >> /etc/postgresql-common/createcluster.conf
  fi
  apt-get -o DPkg::Lock::Timeout=300 update -qq >&2
  DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=300 \
    -o Dpkg::Options::=--force-confold install -y -qq "$@" >/dev/null
}

node_is_new_enough() {
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' 2>/dev/null
}

need_java() {
  javac -version 2>&1 | grep -qE "^javac (1[7-9]|[2-9][0-9])" || need "a JDK of version 17 or newer" openjdk-17-jdk-headless
  command -v mvn >/dev/null || need Maven maven
}

need_tools() {
  need_java
  ls -d /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || need "PostgreSQL" postgresql-15
  command -v curl >/dev/null || need curl curl
  command -v npm >/dev/null || need "Node.js with npm" nodejs npm
  if ! node_is_new_enough; then
    # Debian's Node is too old for the build; a package of the npm registry holds a newer one.
    local arch; arch=$([ "$(uname -m)" = aarch64 ] && echo arm64 || echo x64)
    [ -d "$data/tools/node_modules/node-linux-$arch" ] ||
      npm install --no-audit --no-fund --loglevel=error --prefix "$data/tools" "node-linux-$arch@20.20.2" >&2
    export PATH="$data/tools/node_modules/node-linux-$arch/bin:$PATH"
  fi
}

need_browser() {
  [ -x /usr/bin/chromium ] && [ -x /usr/bin/chromedriver ] || need "Chromium for the tests" chromium chromium-driver
}

# A sum over everything that goes into the build of these rooms, or of the application.
sources_sum() {
  local rooms=("$@"); [ $# -gt 0 ] || rooms=(core formats sheets server web)
  (cd "$root" && find pom.xml "${rooms[@]}" -type f \
    \( -path '*/src/*' -o -name pom.xml -o -name 'package*.json' -o -name openapi.json -o -path 'web/*.ts' -o -path 'web/*.mjs' -o -name index.html \) \
    ! -path '*/node_modules/*' ! -path '*/target/*' ! -path '*/src/test/*' ! -name schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)
}

mvn_quietly() { (cd "$root" && mvn -B -q -ntp "$@"); }

# The application as it is run.
app="$data/app"
jvm=(-XX:+UseSerialGC -Xmx1g -Dfile.encoding=UTF-8)
# Builds the application into .data/app when its sources have changed.
build_app() {
  local sum; sum=$(sources_sum)
  [ "$(cat "$app/.built" 2>/dev/null || true)" = "$sum" ] && return
  say "Building … (a few minutes the first time)"
  mvn_quietly -pl core,formats,sheets,web,server -DskipTests package
  rm -rf "$app"; mkdir -p "$app"
  local jar; jar=$(ls "$root"/server/target/scholion-server-*-exec.jar)
  (cd "$app" && java -Djarmode=tools -jar "$jar" extract --destination . >/dev/null && mv scholion-server-*.jar scholion.jar)
  printf '%s' "$sum" > "$app/.built"
}

# An archive of loaded classes halves the start; it is made once for each build.
archive_app() {
  [ -s "$app/classes.jsa" ] || java "${jvm[@]}" -XX:ArchiveClassesAtExit="$app/classes.jsa" -Dspring.context.exit=onRefresh \
    -jar "$app/scholion.jar" >/dev/null 2>"$app/archive.log" || rm -f "$app/classes.jsa"
}
