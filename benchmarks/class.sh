#!/usr/bin/env bash
# What a class matrix costs a cell, on a running demo: benchmarks/class.sh [PEOPLE]. Needs curl. Adds to the demo: ./galdrin demo --fresh
# afterwards.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
people=${1:-400}; out=$(mktemp -d); trap 'rm -rf "$out"' EXIT
. "$here/people.sh"
form=$(token teacher)
curl -sf -o /dev/null -b "$out/teacher" -c "$out/teacher" --data-urlencode "_csrf=$form" -d signIn=m.aldous \
  --data-urlencode 'password=follow the string' "$base/sign-in"
task=$(sql "select id from task_version where title like 'Block 2%' limit 1")
matrix() { # NAME
  local i
  for i in $(seq 30); do
    curl -sf -b "$out/teacher" -o "$out/page" -w '%{time_total}\n' "$base/marking/class/$task"
  done | tail -25 | sort -n > "$out/times"
  awk -v name="$1" -v cells="$(grep -o 'class="matrix-cell' "$out/page" | wc -l)" -v size="$(wc -c < "$out/page")" \
    '{t[NR] = $1} END {m = t[int((NR + 1) / 2)]; printf "%-12s %5d cells  %7.1f ms  %7.1f us a cell  %d bytes\n", name, cells, m * 1e3, m * 1e6 / cells, size}' "$out/times"
}
matrix warming
matrix 'the block'
psql -q -h 127.0.0.1 -p "$db_port" -U keeper -d galdrin -v from=16 -v to="$people" -f "$here/src/main/sql/fill-class.sql"
matrix warming
matrix "$people people"
