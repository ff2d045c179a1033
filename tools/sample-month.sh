#!/usr/bin/env bash
# npm run sample-month: cooks the month of evenings that ships with the sample kitchen anew (server/data/sampleMonth.jsonl.gz).
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server
need_modules
read -r FOLDER PID SOCKET < <(bash tools/test-db.sh start)
trap 'bash tools/test-db.sh stop "$FOLDER" "$PID" "$SOCKET"' EXIT
TZ=UTC OKAZU_TEST_DB="$FOLDER $PID $SOCKET" node --import tsx tools/sampleMonth.ts </dev/null
