#!/usr/bin/env bash
# npm start [-- --new | --fresh]: everything from a fresh clone to a running Okazu. OKAZU_PORT and OKAZU_DATA choose port and folder.
. "$(dirname "$0")/lib.sh"
. "$(dirname "$0")/db-access.sh"

FRESH=no
for word in "$@"; do
  case $word in
    --fresh) FRESH=yes ;;
    --new) export OKAZU_NEW=1 ;;
    *) fail "unknown option $word: use npm start, npm start -- --new to begin your own kitchen, or npm start -- --fresh to begin again with the demo" ;;
  esac
done
PORT=${OKAZU_PORT:-8425}
SERVER_FLAGS=$(cat "$(dirname "$0")/server-node-flags")
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
# Whatever signal comes while it ends, it ends everything: a second Ctrl-C must not leave the database behind.
stop_all() {
  trap '' INT TERM HUP
  trap - EXIT
  [ -n "$SERVER_PID" ] && kill "$SERVER_PID" 2>/dev/null && wait "$SERVER_PID" 2>/dev/null
  stop_db
}
trap 'stop_all; exit 0' INT TERM HUP
trap stop_all EXIT

start_server() {
  OKAZU_PORT=$PORT OKAZU_DATA=$DATA OKAZU_DB_SOCKET=$DB_SOCKET \
    OKAZU_DB_USER=$DB_USER OKAZU_DB_PASSWORD=$DB_PASSWORD OKAZU_LOG=${OKAZU_LOG:-warn} \
    setsid node $SERVER_FLAGS "$SERVER_FILE" </dev/null 9>&- &
  SERVER_PID=$!
  echo "$SERVER_PID" >"$DATA/server.pid"
}

# Three ends within a minute are no accident: then it stops and says why.
ENDS=()
note_end() { # what ended, where to look
  local now=$SECONDS kept=() end
  for end in ${ENDS[@]+"${ENDS[@]}"}; do [ $((now - end)) -lt 60 ] && kept+=("$end"); done
  ENDS=(${kept[@]+"${kept[@]}"} "$now")
  [ ${#ENDS[@]} -lt 3 ] || fail "$1 ended three times within a minute: see $2"
  say "$1 ended by itself: it is started again"
  sleep $((${#ENDS[@]} - 1)) &
  wait $!
}

if [ $FRESH = yes ]; then
  end_orphan "$DATA/db.pid" "$(cd "$DATA" && pwd)/db"
  say "Beginning again: $DATA/db is emptied"
  rm -rf "$DATA/db"
fi
say "Starting the database in $DATA and the server on port $PORT"
start_db_for_all "$DATA"
while :; do
  start_server
  # The shell would print the whole command of what was killed.
  wait -n "$SERVER_PID" "$DB_PID" 2>/dev/null
  CODE=$?
  if kill -0 "$DB_PID" 2>/dev/null; then
    SERVER_PID=
    [ $CODE -ne 0 ] || exit 0
    [ $CODE -ne 3 ] || fail "the server did not start: see the lines above"
    note_end "the server" "the lines above"
  else
    kill "$SERVER_PID" 2>/dev/null && wait "$SERVER_PID" 2>/dev/null
    SERVER_PID=
    stop_db
    note_end "the database" "$DATA/db.log"
    start_db_for_all "$DATA"
  fi
done
