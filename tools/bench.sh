#!/usr/bin/env bash
# npm run bench [NAME ...] [--write]: the figures that the project aims at, measured on this machine; --write puts them into docs/bench.md.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server chromium-headless-shell=chromium-headless-shell
need_modules
need_web
need_server
read -r FOLDER PID SOCKET < <(bash tools/test-db.sh start)
trap 'bash tools/test-db.sh stop "$FOLDER" "$PID" "$SOCKET"' EXIT
OKAZU_TEST_DB="$FOLDER $PID $SOCKET" node --import tsx tools/bench/main.ts "$@" </dev/null
