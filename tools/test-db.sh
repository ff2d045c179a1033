#!/usr/bin/env bash
# A throw-away MariaDB in memory for tests: "start" prints folder, process id and socket; "stop FOLDER PID RUN" ends it.
. "$(dirname "$0")/lib.sh"

case ${1:-} in
  start)
    SHM=/dev/shm
    [ -w $SHM ] || SHM=${TMPDIR:-/tmp}
    FOLDER=$(mktemp -d "$SHM/okazu-test.XXXXXX")
    start_db "$FOLDER" --skip-networking --innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0 --innodb-flush-method=nosync
    # Whoever asked for it may be ended before it says stop: then it is stopped here.
    setsid bash -c 'while kill -0 "$1" 2>/dev/null && kill -0 "$3" 2>/dev/null; do sleep 1; done; exec bash "$0" stop "$2" "$3" "$4"' \
      "$PWD/tools/test-db.sh" "$PPID" "$FOLDER" "$DB_PID" "$DB_SOCKET" >/dev/null 2>&1 </dev/null &
    printf '%s %s %s\n' "$FOLDER" "$DB_PID" "$DB_SOCKET"
    disown -a
    ;;
  stop)
    kill "$3" 2>/dev/null
    for _ in $(seq 1 100); do kill -0 "$3" 2>/dev/null || break; sleep 0.1; done
    rm -rf "$2" "$(dirname "$4")"
    ;;
  *) fail 'use test-db.sh start, or test-db.sh stop FOLDER PID SOCKET' ;;
esac
