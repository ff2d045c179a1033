#!/usr/bin/env bash
# npm run restore -- FILE: the data as a backup has it. What is there now is copied first; if anything goes wrong it stays as it was.
. "$(dirname "$0")/lib.sh"
. "$(dirname "$0")/db-access.sh"
. "$(dirname "$0")/copies.sh"

DATA=${OKAZU_DATA:-.okazu}
[ $# -eq 1 ] || fail "name one copy: npm run restore -- FILE, with one of $DATA/backups"
FILE=$1
need_node
mkdir -p "$DATA" 2>/dev/null && [ -w "$DATA" ] || fail "cannot write to $DATA: set OKAZU_DATA to a folder of yours"
exec 9>"$DATA/lock"
flock -n 9 || fail "Okazu runs on $DATA: stop it first (Ctrl-C where it was started), then restore"
need_packages mariadbd=mariadb-server
look_at_copy "$FILE"

BEFORE=
STATE=untouched
# However this ends before all is read, what was there stands again.
put_back() {
  stop_db
  [ $STATE = reading ] || return 0
  rm -rf "$DATA/db"
  [ -z "$BEFORE" ] || mv "$BEFORE" "$DATA/db"
}
as_it_was() { fail "$1 The data is as it was."; }
trap put_back EXIT
trap 'as_it_was "Interrupted."' INT TERM HUP

if [ -d "$DATA/db/mysql" ]; then
  STAMP=$(date -u +%Y-%m-%dT%H%M%SZ)
  say "Copying what is there now"
  # What cannot be started cannot be copied: then its folder is kept.
  if (start_db_for_all "$DATA" && copy_data "$DATA" "before-restore-$STAMP" && stop_db && echo "$COPY" >"$DATA/copied") >/dev/null 2>&1; then
    say "It is in $(cat "$DATA/copied")"
  else
    say "It could not be read; its folder is kept as $DATA/db-before-restore-$STAMP"
    KEEP=yes
  fi
  rm -f "$DATA/copied"
  end_orphan "$DATA/db.pid" "$(cd "$DATA" && pwd)/db"
  # A name of its own: what an earlier restore kept, or was killed over, is never written over.
  BEFORE=$DATA/db-before-restore-$STAMP
  mv "$DATA/db" "$BEFORE" || as_it_was "$DATA/db could not be moved aside."
fi
STATE=reading
ask() { MYSQL_PWD=$DB_PASSWORD mariadb --no-defaults --host=127.0.0.1 --port="$DB_PORT" --user="$DB_USER" -N "$@"; }

say "Reading $FILE"
start_db_for_all "$DATA"
gunzip -c "$FILE" | ask 2>"$DATA/restore.log" >/dev/null || as_it_was "The copy could not be read: $(tail -1 "$DATA/restore.log")."
NEWER=$(ask -e 'SELECT name FROM okazu.migration' 2>/dev/null |
  while read -r name; do [ -f "server/src/db/migrations/$name" ] || echo "$name"; done)
[ -z "$NEWER" ] || as_it_was "The copy was written by a newer Okazu, which has $(echo $NEWER): restore it with that one."
# Every kitchen in it has it in its list of changes, where the copy is of a time that had one.
if [ -n "$(ask -e "SHOW TABLES FROM okazu LIKE 'audit'")" ]; then
  NAME=$(printf %s "$(basename "$FILE")" | od -An -v -tx1 | tr -d ' \n')
  ask -e "INSERT INTO okazu.audit (kitchen_id, id, at_ms, what, subject)
    SELECT id, UUID(), $(date +%s)000, 'restored', LEFT(CONVERT(X'$NAME' USING utf8mb4), 160) FROM okazu.kitchen" 2>"$DATA/restore.log" ||
    as_it_was "The restore could not be written down: $(tail -1 "$DATA/restore.log")."
fi
stop_db
STATE=read
rm -f "$DATA/restore.log"
[ "${KEEP:-}" = yes ] || [ -z "$BEFORE" ] || rm -rf "$BEFORE"
echo "The data is as $FILE has it. npm start opens it."
