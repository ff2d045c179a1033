#!/usr/bin/env bash
# npm run fuzz [-- COUNT [SEED]]: odd requests drawn from the OpenAPI document, sent to the real server; 20,000 unless said otherwise.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server
need_modules
read -r FOLDER PID SOCKET < <(bash tools/test-db.sh start)
trap 'bash tools/test-db.sh stop "$FOLDER" "$PID" "$SOCKET"' EXIT
OKAZU_TEST_DB="$FOLDER $PID $SOCKET" node --import tsx tools/fuzz.ts "$@" </dev/null
