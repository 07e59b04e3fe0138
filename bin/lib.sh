# What the commands share: where things are, what must be installed, and when to build. Sourced, not run.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
data="$root/.data"
# Names of files may have any letters: without a locale of UTF-8, Java and the shell would misread them.
case "${LC_ALL:-${LC_CTYPE:-${LANG:-}}}" in *[Uu][Tt][Ff]*8*) ;; *) export LC_ALL=C.UTF-8 ;; esac
# Colours belong to a terminal, not to a log.
export NO_COLOR=1 NPM_CONFIG_COLOR=false NPM_CONFIG_UPDATE_NOTIFIER=false

say() { printf '%s\n' "$*" >&2; }

# What is missing is noted first and installed at once, when root; otherwise all of it is said in one command.
missing=() packages=()
need() { # what it is for, then the packages
  missing+=("$1"); shift
  packages+=("$@")
}

install_missing() {
  [ ${#packages[@]} -gt 0 ] || return 0
  local what; what=$(printf ', %s' "${missing[@]}"); what=${what:2}
  if [ "$(id -u)" != 0 ]; then
    say "Missing: $what. Install it and start again, on Debian:"
    say "  sudo apt-get update && sudo apt-get install --no-install-recommends ${packages[*]}"
    exit 1
  fi
  say "Installing $what …"
  if [[ " ${packages[*]} " == *" postgresql"* ]] && ! grep -qs '^create_main_cluster' /etc/postgresql-common/createcluster.conf; then
    # Debian would make and start a cluster of its own; only the programs are wanted.
    say "Debian is told not to make a database cluster of its own (create_main_cluster in /etc/postgresql-common/createcluster.conf)."
    mkdir -p /etc/postgresql-common
    echo 'create_main_cluster = false' >> /etc/postgresql-common/createcluster.conf
  fi
  local log; log=$(mktemp)
  if ! { apt-get -o DPkg::Lock::Timeout=300 update -qq && DEBIAN_FRONTEND=noninteractive apt-get \
    -o DPkg::Lock::Timeout=300 -o Dpkg::Options::=--force-confold install -y -qq --no-install-recommends "${packages[@]}"; } >"$log" 2>&1; then
    tail -5 "$log" >&2; rm -f "$log"
    say "The packages could not be installed. Without a network, install them from elsewhere: ${packages[*]}"
    exit 1
  fi
  rm -f "$log"
  missing=() packages=()
}

node_is_new_enough() {
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' 2>/dev/null
}

need_java() {
  javac -version 2>&1 | grep -qE "^javac (1[7-9]|[2-9][0-9])" || need "a JDK of version 17 or newer" openjdk-17-jdk-headless
  command -v mvn >/dev/null || need Maven maven
}

need_tools() { # also "browser" for the tests
  need_java
  ls -d /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || need PostgreSQL postgresql-15
  command -v curl >/dev/null || need curl curl ca-certificates
  command -v npm >/dev/null || need "Node.js with npm" nodejs npm
  if [ "${1:-}" = browser ]; then
    [ -x /usr/bin/chromium ] && [ -x /usr/bin/chromedriver ] || need "Chromium for the tests" chromium chromium-driver
  fi
  install_missing
  node_is_new_enough || need_newer_node
}

# Debian's Node is too old for the build; a package of the npm registry holds a newer one. It is checked by the sum in
# bin/node/package-lock.json, and stands in its place only when it is whole.
need_newer_node() {
  local arch place new
  arch=$([ "$(uname -m)" = aarch64 ] && echo arm64 || echo x64)
  place="$data/tools"
  if ! cmp -s "$root/bin/node/package-lock.json" "$place/.installed-lock"; then
    say "Fetching a newer Node.js for the build …"
    new="$place.new"
    rm -rf "$new" "$place"; mkdir -p "$new"
    cp "$root"/bin/node/package*.json "$new"
    # npm is silent about an optional package that it could not fetch.
    (cd "$new" && npm ci --no-audit --no-fund --loglevel=error) >&2 || true
    [ -x "$new/node_modules/node-linux-$arch/bin/node" ] || { say "$no_network"; exit 1; }
    cp "$root/bin/node/package-lock.json" "$new/.installed-lock"
    mv "$new" "$place"
  fi
  export PATH="$place/node_modules/node-linux-$arch/bin:$PATH"
}
no_network="What the build needs could not be fetched: the first build needs a network. Connect it and start again."

# A sum over everything that goes into the build of these rooms, or of the application.
sources_sum() {
  local rooms=("$@"); [ $# -gt 0 ] || rooms=(core formats sheets server web)
  (cd "$root" && find pom.xml "${rooms[@]}" -type f \
    \( -path '*/src/*' -o -name pom.xml -o -name 'package*.json' -o -name openapi.json -o -path 'web/*.ts' -o -path 'web/*.mjs' -o -name index.html \) \
    ! -path '*/node_modules/*' ! -path '*/target/*' ! -path '*/dist/*' ! -path '*/src/test/*' ! -name schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)
}

# Maven, of which only what goes wrong is shown, and with progress=yes which room is being built.
mvn_quietly() {
  local log code=0; log=$(mktemp)
  (cd "$root" && mvn -B -ntp -Dstyle.color=never "$@") > >(tee "$log" | progress) 2>&1 || code=$?
  wait
  if [ "$code" != 0 ]; then
    if grep -qE 'Could not transfer|Unknown host|Temporary failure in name|EAI_AGAIN|ENOTFOUND|Network is unreachable' "$log"; then
      say "$no_network"
    else
      grep -E '^\[ERROR\]' "$log" | head -40 >&2
    fi
  fi
  rm -f "$log"
  return "$code"
}
progress() {
  if [ "${progress:-}" = yes ]; then sed -nu 's/^\[INFO\] Building Scholion \([^ ]*\).*/  … \1/p' >&2; else cat > /dev/null; fi
}

# The application as it is run.
app="$data/app"
jvm=(-XX:+UseSerialGC -Xmx1g -Dfile.encoding=UTF-8)
# Builds the application into .data/app when its sources have changed.
build_app() {
  local sum; sum=$(sources_sum)
  [ "$(cat "$app/.built" 2>/dev/null || true)" = "$sum" ] && return
  say "Building … (a few minutes the first time)"
  progress=yes mvn_quietly -pl core,formats,sheets,web,server -DskipTests package
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

# The database of this checkout, started for as long as the command runs; or the one that SCHOLION_DB_URL names.
use_database() {
  if [ -z "${SCHOLION_DB_URL:-}" ]; then
    local before line settings
    before=$("$root/bin/database" status "$data/database")
    settings=$("$root/bin/database" start "$data/database")
    while IFS= read -r line; do export "${line?}"; done <<< "$settings"
    [ "$before" = running ] || trap '"$root/bin/database" stop "$data/database"' EXIT
  fi
  # For PostgreSQL's own programs: jdbc:postgresql://host:port/name
  local rest=${SCHOLION_DB_URL#jdbc:postgresql://}
  PGHOST=${rest%%[:/]*}; PGDATABASE=${rest##*/}; PGDATABASE=${PGDATABASE%%\?*}
  rest=${rest%%/*}; PGPORT=5432; [ "$rest" = "$PGHOST" ] || PGPORT=${rest##*:}
  export PGHOST PGPORT PGDATABASE PGUSER=${SCHOLION_DB_USER:-scholion} PGPASSWORD=${SCHOLION_DB_PASSWORD:-}
  local programs; programs=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1) || true
  [ -z "$programs" ] || export PATH="$programs:$PATH"
  command -v pg_dump >/dev/null || { say "PostgreSQL's programs are not installed; on Debian: apt-get install postgresql-client-15"; exit 1; }
}
