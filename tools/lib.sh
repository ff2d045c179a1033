# Shared by the scripts beside it: say what happens, install what is missing, run a MariaDB of our own.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1

say() { printf '%s\n' "$*"; }
fail() {
  printf 'Okazu: %s\n' "$*" >&2
  exit 1
}

need_disk() { # folder, MiB
  local free
  free=$(df -Pm "$1" | awk 'NR == 2 { print $4 }')
  [ "$free" -ge "$2" ] || fail "the disk of $1 has $free MiB left and $2 are needed: free some space and run this again"
}

need_node() {
  command -v node >/dev/null || fail 'Node.js is missing: install Node 20.19 or newer'
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' ||
    fail "Node $(node -v) is too old: install 20.19 or newer"
}

# need_packages "command=package ..." installs the Debian packages whose commands are missing; python:NAME is a module
# of Debian's own Python.
has_command() {
  case $1 in
    python:*) /usr/bin/python3 -c "import ${1#python:}" >/dev/null 2>&1 ;;
    *) command -v "$1" >/dev/null || [ -x "/usr/sbin/$1" ] ;;
  esac
}
need_packages() {
  local missing=() pair root=()
  for pair in "$@"; do
    has_command "${pair%%=*}" || missing+=("${pair#*=}")
  done
  [ ${#missing[@]} -gt 0 ] || return 0
  command -v apt-get >/dev/null || fail "${missing[*]} is missing and this is no Debian: install it, then run this again"
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null && sudo -n true 2>/dev/null ||
      fail "${missing[*]} is missing, and installing it needs root: run 'apt-get install ${missing[*]}' as root once, then run this again"
    root=(sudo -n)
  fi
  need_disk / 1200
  say "Installing Debian packages: ${missing[*]}"
  local log
  log=$(mktemp)
  if ! { "${root[@]}" apt-get -qq update &&
    "${root[@]}" env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get -qq -o DPkg::Lock::Timeout=300 \
      install -y --no-install-recommends "${missing[@]}"; } >"$log" 2>&1 </dev/null; then
    grep -q 'lock' "$log" && fail "another program holds the package system's lock: wait for it to end, then run this again"
    tail -5 "$log" >&2
    fail "apt-get could not install ${missing[*]}: see the lines above"
  fi
  rm -f "$log"
}

# npm packages from the lockfile, again only when the lockfile or a package.json changed.
need_modules() {
  local sum stamp=node_modules/.okazu-sum
  sum=$(cat package-lock.json package.json ./*/package.json | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return 0
  need_disk . 1500
  say 'Installing npm packages from the lockfile (a few minutes the first time)'
  npm ci --no-audit --no-fund --loglevel=error </dev/null || fail 'npm ci failed: see the lines above; is the npm registry reachable?'
  printf '%s' "$sum" >"$stamp"
}

# The web app, again only when what it is made of changed.
need_web() {
  local sum stamp=app/dist/.okazu-sum
  sum=$(find app core contract package-lock.json tools/buildWeb.ts -type f \
    -not -path '*/node_modules/*' -not -path 'app/dist/*' -not -path '*/.expo/*' -not -name '*.test.ts*' -not -name '*.tsbuildinfo' \
    -print0 | sort -z | xargs -0 sha256sum | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return 0
  need_disk . 500
  say 'Building the web app (about a minute)'
  rm -rf app/dist
  local log
  log=$(mktemp)
  (cd app && CI=1 EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 npx --no-install expo export --platform web --output-dir dist) >"$log" 2>&1 </dev/null ||
    { tail -30 "$log" >&2; fail 'the web app did not build: see the lines above'; }
  node --import tsx tools/buildWeb.ts >"$log" 2>&1 || { tail -30 "$log" >&2; fail 'the web app could not be packed: see the lines above'; }
  rm -f "$log"
  printf '%s' "$sum" >"$stamp"
}

# The server as one file, again only when what it is made of changed: it starts in a tenth of the time.
SERVER_FILE=server/dist/main.mjs
need_server() {
  local sum stamp=server/dist/.okazu-sum
  sum=$(find server/src core/src contract/src package-lock.json tools/lib.sh -type f -not -name '*.test.ts' -print0 | sort -z | xargs -0 sha256sum | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return 0
  say 'Building the server'
  node_modules/.bin/esbuild server/src/main.ts server/src/owner.ts server/src/testHost.ts server/src/papers/paperWorker.ts --bundle --platform=node --target=node20 --format=esm \
    --outdir="$(dirname $SERVER_FILE)" --out-extension:.js=.mjs --sourcemap --log-level=warning --external:@resvg/resvg-js --external:piscina --entry-names=[name] \
    "--banner:js=import{createRequire as requireFrom}from'node:module';const require=requireFrom(import.meta.url);" </dev/null ||
    fail 'the server did not build: see the lines above'
  printf '%s' "$sum" >"$stamp"
}

db_user_flag() { [ "$(id -u)" -eq 0 ] && printf -- '--user=root'; }
mariadbd_path() { command -v mariadbd || printf /usr/sbin/mariadbd; }

# start_db FOLDER flags: a MariaDB of our own on a socket in a short path; sets DB_PID and DB_SOCKET. The flags say how it
# is reached otherwise: --skip-networking, or those of tools/db-access.sh.
start_db() {
  local folder=$1 run
  shift
  mkdir -p "$folder" || fail "cannot write to $folder: set OKAZU_DATA to a folder of yours"
  folder=$(cd "$folder" && pwd)
  run=$(mktemp -d /tmp/okazu.XXXXXX)
  DB_RUN=$run
  if [ ! -d "$folder/db/mysql" ]; then
    need_disk "$folder" 300
    rm -rf "$folder/db" "$folder/db.part"
    # The installer does not take a path with spaces: it gets one of ours without.
    ln -s "$folder" "$run/data"
    # shellcheck disable=SC2046
    mariadb-install-db --no-defaults $(db_user_flag) --datadir="$run/data/db.part" --auth-root-authentication-method=normal \
      --skip-test-db --skip-name-resolve >"$folder/install-db.log" 2>&1 </dev/null ||
      fail "the database folder could not be made: see $folder/install-db.log"
    # An installation that was cut off is begun again: only a whole one has this name.
    mv "$folder/db.part" "$folder/db"
  fi
  end_orphan "$folder/db.pid" "$folder/db"
  DB_SOCKET=$run/db.sock
  # A tmpdir of its own: a server that starts deletes the temporary tables of every other one in the same folder.
  # shellcheck disable=SC2046
  setsid "$(mariadbd_path)" --no-defaults $(db_user_flag) --datadir="$folder/db" --tmpdir="$run" --socket="$DB_SOCKET" --pid-file="$folder/db.pid" \
    --log-error="$folder/db.log" --skip-name-resolve --skip-log-bin --default-time-zone=+00:00 \
    --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_520_ci --innodb-buffer-pool-size=128M \
    "$@" >>"$folder/db.log" 2>&1 </dev/null 9>&- &
  DB_PID=$!
  local i
  for i in $(seq 1 300); do
    [ -S "$DB_SOCKET" ] && mariadb-admin --no-defaults --socket="$DB_SOCKET" --user=root --silent ping >/dev/null 2>&1 && return 0
    kill -0 "$DB_PID" 2>/dev/null || break
    sleep 0.1
  done
  tail -5 "$folder/db.log" >&2
  fail "the database did not start: see $folder/db.log (is another Okazu running on this folder? set OKAZU_DATA to another)"
}

# end_orphan PIDFILE WORD: ends a process that an Okazu killed by force left behind, if its command line has the word.
end_orphan() {
  local pid
  pid=$(cat "$1" 2>/dev/null) || return 0
  [ -n "$pid" ] && { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -qF -- "$2" || return 0
  kill "$pid" 2>/dev/null
  local i
  for i in $(seq 1 100); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
  kill -9 "$pid" 2>/dev/null
}

stop_db() {
  [ -n "${DB_PID:-}" ] || return 0
  kill "$DB_PID" 2>/dev/null
  wait "$DB_PID" 2>/dev/null
  rm -rf "$DB_RUN"
  DB_PID=
}
