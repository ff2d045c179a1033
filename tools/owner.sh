#!/usr/bin/env bash
# npm run owner: a new PIN for the owner and a code for one device, on the machine itself, whether Okazu runs or not.
. "$(dirname "$0")/lib.sh"
. "$(dirname "$0")/db-access.sh"

DATA=${OKAZU_DATA:-.okazu}
[ $# -eq 0 ] || fail "say npm run owner, without more"
[ -d "$DATA/db/mysql" ] || fail "there is no kitchen in $DATA: npm start makes one; OKAZU_DATA names another folder"
need_node
need_packages mariadbd=mariadb-server
need_modules
need_server

exec 9>"$DATA/lock"
if flock -n 9; then
  trap stop_db EXIT
  start_db_for_all "$DATA" >/dev/null || exit 1
else
  read_access "$DATA/database.cnf"
  [ -n "$DB_PASSWORD" ] || fail "Okazu runs on $DATA, but $DATA/database.cnf cannot be read: use the user that started it"
fi
OKAZU_DB_PORT=$DB_PORT OKAZU_DB_USER=$DB_USER OKAZU_DB_PASSWORD=$DB_PASSWORD \
  node --enable-source-maps "$(dirname "$SERVER_FILE")/owner.mjs" </dev/null 9>&- || fail 'the owner could not be helped: see the lines above'
