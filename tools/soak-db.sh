#!/usr/bin/env bash
# soak-db.sh FOLDER: starts the database of a soak, durable as a kitchen's, and prints its process id and socket.
. "$(dirname "$0")/lib.sh"
start_db "$1" --skip-networking
printf '%s %s\n' "$DB_PID" "$DB_SOCKET"
disown -a
