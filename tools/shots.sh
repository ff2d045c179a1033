#!/usr/bin/env bash
# npm run shots: the pictures of docs/screenshots, made from the demo at 18:24 of an evening.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server chromium-headless-shell=chromium-headless-shell
need_modules
need_web
need_server
read -r FOLDER PID SOCKET < <(bash tools/test-db.sh start)
trap 'bash tools/test-db.sh stop "$FOLDER" "$PID" "$SOCKET"' EXIT
TZ=UTC OKAZU_TEST_DB="$FOLDER $PID $SOCKET" node --import tsx tools/shots.ts </dev/null
