#!/usr/bin/env bash
# npm run backup: a copy of all data, also while Okazu runs. OKAZU_DATA names the folder.
. "$(dirname "$0")/lib.sh"
. "$(dirname "$0")/db-access.sh"
. "$(dirname "$0")/copies.sh"

DATA=${OKAZU_DATA:-.okazu}
[ -d "$DATA/db/mysql" ] || fail "there is no data in $DATA: set OKAZU_DATA to the folder of your Okazu"
need_node
need_packages mariadbd=mariadb-server
exec 9>"$DATA/lock"
if flock -n 9; then
  trap stop_db EXIT
  start_db_for_all "$DATA"
else
  read_access "$DATA/database.cnf"
  [ -n "$DB_PASSWORD" ] || fail "$DATA/database.cnf does not say how to reach the database: stop Okazu and run npm run backup again"
fi
copy_data "$DATA" "okazu-$(date -u +%Y-%m-%dT%H%M%SZ)" || fail "the data could not be copied: $(cat "$DATA/backups/error.log")"
echo "A copy of the data is in $COPY"
