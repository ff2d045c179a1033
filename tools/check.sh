#!/usr/bin/env bash
# npm run check: everything but the browser. Lint and types, import directions, format and units, on two cores.
. "$(dirname "$0")/lib.sh"
need_node
need_packages mariadbd=mariadb-server units=units pdftotext=poppler-utils python:scipy=python3-scipy python:iapws=python3-iapws
need_modules

LOGS=$(mktemp -d)
FAILED=()
job() { # name, command...
  local name=$1
  shift
  "$@" >"$LOGS/$name" 2>&1 </dev/null && say "ok      $name" || { say "FAILED  $name" && return 1; }
}
# Lint reads the types of every project, so that it says what the compiler would say too. core must compile without Node's types.
lint() { node_modules/.bin/oxlint . && node_modules/.bin/tsc -p core/tsconfig.src.json --tsBuildInfoFile node_modules/.cache/okazu/core.tsbuildinfo; }
imports() { node_modules/.bin/depcruise --config .dependency-cruiser.cjs core/src contract/src server/src app/src tools e2e; }
format() { node_modules/.bin/prettier --check --cache --cache-location node_modules/.cache/okazu/prettier --log-level warn .; }
units() { node_modules/.bin/jest --ci --maxWorkers=100%; }

mkdir -p node_modules/.cache/okazu
say 'Checking import directions, format, lint, types and units'
{ job imports imports; A=$?; job format format; B=$?; job lint lint; C=$?; exit $((A | B | C)); } &
STATIC=$!
job units units || FAILED+=(units)
wait $STATIC || FAILED+=(imports format lint)

for name in imports format lint units; do
  case " ${FAILED[*]} " in *" $name "*) printf -- '--- %s\n' "$name" && tail -60 "$LOGS/$name" ;; esac
done
grep -E '^(Tests|Time):' "$LOGS/units"
rm -rf "$LOGS"
[ ${#FAILED[@]} -eq 0 ] || fail 'the check found something: see above'
say 'Check passed'
