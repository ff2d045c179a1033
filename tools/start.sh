#!/usr/bin/env bash
# npm start [-- --fresh]: everything from a fresh clone to a running Okazu. OKAZU_PORT and OKAZU_DATA choose port and folder.
. "$(dirname "$0")/lib.sh"

FRESH=no
for word in "$@"; do
  case $word in
    --fresh) FRESH=yes ;;
    *) fail "unknown option $word: use npm start, or npm start -- --fresh to begin again with the demo" ;;
  esac
done
PORT=${OKAZU_PORT:-8425}
DATA=${OKAZU_DATA:-.okazu}
[[ $PORT =~ ^[0-9]+$ && $PORT -ge 1 && $PORT -le 65535 ]] || fail "OKAZU_PORT is \"$PORT\": give a port number from 1 to 65535"

need_node
mkdir -p "$DATA" 2>/dev/null && [ -w "$DATA" ] || fail "cannot write to $DATA: set OKAZU_DATA to a folder of yours"
exec 9>"$DATA/lock"
flock -n 9 || fail "another Okazu runs on $DATA: stop it, or set OKAZU_DATA to another folder"
end_orphan "$DATA/server.pid" "$SERVER_FILE"
node -e '
  const server = require("node:net").createServer().once("error", () => process.exit(1))
  server.listen({ port: Number(process.argv[1]), host: process.argv[2] }, () => server.close(() => process.exit(0)))
' "$PORT" "${OKAZU_HOST:-127.0.0.1}" || fail "port $PORT is taken by another program: set OKAZU_PORT to a free one, as in OKAZU_PORT=8426 npm start"
need_packages mariadbd=mariadb-server
need_modules
need_server
need_web

SERVER_PID=
stop_all() {
  trap - INT TERM EXIT
  [ -n "$SERVER_PID" ] && kill "$SERVER_PID" 2>/dev/null && wait "$SERVER_PID" 2>/dev/null
  stop_db
}
trap 'stop_all; exit 0' INT TERM
trap stop_all EXIT

if [ $FRESH = yes ]; then
  end_orphan "$DATA/db.pid" "$(cd "$DATA" && pwd)/db"
  say "Beginning again: $DATA/db is emptied"
  rm -rf "$DATA/db"
fi
say "Starting the database in $DATA and the server on port $PORT"
start_db "$DATA"
OKAZU_PORT=$PORT OKAZU_PRINTED=$DATA/printed OKAZU_DB_SOCKET=$DB_SOCKET OKAZU_LOG=${OKAZU_LOG:-warn} setsid node --enable-source-maps "$SERVER_FILE" </dev/null 9>&- &
SERVER_PID=$!
echo "$SERVER_PID" >"$DATA/server.pid"
wait -n "$SERVER_PID" "$DB_PID"
CODE=$?
kill -0 "$SERVER_PID" 2>/dev/null && fail "the database ended by itself: see $DATA/db.log"
SERVER_PID=
[ $CODE -eq 0 ] || fail "the server ended with code $CODE: see the lines above"
