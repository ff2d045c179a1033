#!/usr/bin/env bash
# npm run check: everything but the browser. Types, lint, import directions, format and units, on two cores.
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
types() {
  local project
  for project in core/tsconfig.src.json core contract server tools e2e app; do
    node_modules/.bin/tsc -p "$project" --tsBuildInfoFile "node_modules/.cache/okazu/${project//\//-}.tsbuildinfo" || return 1
  done
}
lint() { node_modules/.bin/eslint --cache --cache-location node_modules/.cache/okazu/eslint --max-warnings 0 .; }
imports() { node_modules/.bin/depcruise --config .dependency-cruiser.cjs core/src contract/src server/src app/src tools e2e; }
format() { node_modules/.bin/prettier --check --cache --cache-location node_modules/.cache/okazu/prettier --log-level warn .; }
units() { node_modules/.bin/jest --ci --maxWorkers=100%; }

mkdir -p node_modules/.cache/okazu
say 'Checking types, import directions, format, lint and units'
{ job types types; A=$?; job imports imports; B=$?; job format format; C=$?; job lint lint; D=$?; exit $((A | B | C | D)); } &
STATIC=$!
job units units || FAILED+=(units)
wait $STATIC || FAILED+=(types imports format lint)

for name in types imports format lint units; do
  case " ${FAILED[*]} " in *" $name "*) printf -- '--- %s\n' "$name" && tail -60 "$LOGS/$name" ;; esac
done
grep -E '^(Tests|Time):' "$LOGS/units"
rm -rf "$LOGS"
[ ${#FAILED[@]} -eq 0 ] || fail 'the check found something: see above'
say 'Check passed'
