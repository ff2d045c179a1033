#!/usr/bin/env bash
# Copies of the data, made and looked at. Sourced by backup.sh and restore.sh.

# copy_data FOLDER NAME: a packed copy of the running database, whole or not at all; sets COPY to its path.
copy_data() {
  COPY=$1/backups/$2.sql.gz
  mkdir -p "$1/backups" && chmod 700 "$1/backups" || return 1
  (
    set -o pipefail
    umask 077
    MYSQL_PWD=$DB_PASSWORD mariadb-dump --no-defaults --host=127.0.0.1 --port="$DB_PORT" --user="$DB_USER" --single-transaction \
      --databases okazu 2>"$1/backups/error.log" | gzip >"$COPY.part"
  ) && mv "$COPY.part" "$COPY" && rm -f "$1/backups/error.log" && return 0
  rm -f "$COPY.part"
  return 1
}

# look_at_copy FILE: ends with a sentence where the file is not a whole copy of Okazu's data.
look_at_copy() {
  [ -f "$1" ] || fail "there is no file $1: npm run restore -- FILE, with one of $DATA/backups"
  [ "$(head -c 2 "$1")" != PK ] ||
    fail "$1 is the file of one kitchen, and this reads copies of all the data: it is read where an own kitchen begins, in Setup or with npm start -- --new"
  gzip -t "$1" 2>/dev/null || fail "$1 is cut off or damaged: take another of $DATA/backups"
  local size
  size=$(gunzip -c "$1" | head -c "$MOST_BYTES" | wc -c)
  [ "$size" -lt "$MOST_BYTES" ] || fail "$1 unpacks to more than $((MOST_BYTES / 1073741824)) GiB, which no kitchen has: it is not read"
  gunzip -c "$1" | tail -c 400 | grep -q '^-- Dump completed' || fail "$1 ends too early: it is not a whole copy. Take another of $DATA/backups"
  gunzip -c "$1" | head -c 4000 | grep -q 'Current Database: `okazu`' || fail "$1 is not a copy of Okazu's data"
  need_disk "$DATA" $((size / 1048576 * 4 + 400))
}
MOST_BYTES=${OKAZU_MOST_RESTORE_BYTES:-21474836480}
