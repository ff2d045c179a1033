#!/usr/bin/env bash
# copy-db.sh SOCKET FROM TO: a database with everything that another has, for tests.
set -euo pipefail
client=(--no-defaults --user=root "--socket=$1")
mariadb "${client[@]}" -e "CREATE DATABASE $3"
mariadb-dump "${client[@]}" "$2" | mariadb "${client[@]}" "$3"
