#!/usr/bin/env bash
# npm test: everything. First the check (types, lint, imports, format, units and API on a real MariaDB), then the browser,
# then a short soak.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server units=units chromium-headless-shell=chromium-headless-shell pdftotext=poppler-utils python:scipy=python3-scipy python:iapws=python3-iapws
need_modules
bash tools/check.sh || exit 1
need_server
need_web
say 'Driving the interface in Chromium, phone and wide'
rm -rf test-results
node_modules/.bin/playwright test "$@" </dev/null || fail 'a browser test failed: see above; traces are in test-results/'
if [ $# -eq 0 ]; then
  say 'Thirty rounds of kills, cut networks, reloads, double taps and wrong clocks'
  bash tools/soak.sh 30 || fail 'something was lost, doubled or confirmed unseen: see above'
fi
say 'All tests passed'
