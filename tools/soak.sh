#!/usr/bin/env bash
# npm run soak [-- ROUNDS [SEED]]: kills, cut networks, reloads, double taps and wrong clocks over server, database and two
# phones; 1,000 rounds unless said otherwise. Nothing said may be lost, doubled, or confirmed unseen.
# npm run soak -- steady [MINUTES]: 50 requests a second and 50 streams for 30 minutes; memory must stay where it was.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server chromium-headless-shell=chromium-headless-shell
need_modules
need_server
need_web
SOAK=$(mktemp -d /tmp/okazu-soak.XXXXXX)
# Everything that a soak starts has its folder in the command line.
trap 'pkill -9 -f "$SOAK"; rm -rf "$SOAK"' EXIT
trap 'exit 130' INT TERM HUP
RUN=main
[ "${1:-}" = steady ] && RUN=steady && shift
node --import tsx "tools/soak/$RUN.ts" "$SOAK" "$@" </dev/null &
wait $!
