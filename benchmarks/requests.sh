#!/usr/bin/env bash
# What a request costs, on a running demo: benchmarks/requests.sh [SECONDS]. Needs wrk and curl. Adds to the demo: ./galdrin demo --fresh
# afterwards.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
seconds=${1:-10}; out=$(mktemp -d); trap 'rm -rf "$out"' EXIT
. "$here/people.sh"
fifty_join "$(date +%s)"
export PEOPLE=$out
IFS=$'\t' read -r sheet cookie _ < "$out/people.tsv"; cookie="Cookie: $cookie"
size=$(curl -sf -H "$cookie" "$base/sittings/$sheet" | wc -c)
css=$(page none /join | grep -o '/assets/style/galdrin[^"]*')
plain=$(page none /join | grep -o '/assets/webjars/bootstrap/[^"]*css' | head -1)

measure() { # NAME ARGUMENT...
  local name=$1 result; shift
  result=$(wrk -t1 -c50 -d"${seconds}s" "$@" 2>&1)
  printf '%-40s %8s a second  %s\n' "$name" "$(awk '/Requests\/sec/ {print $2}' <<<"$result")" "$(grep -E 'Non-2xx|Socket errors|^[0-9]{3} ' <<<"$result" | head -3 | tr -s ' ' | paste -sd,)"
}
echo "the sheet's page has $size bytes, the style sheet $(page none "$css" | wc -c); fifty connections, $seconds s each"
wrk -t1 -c50 -d"$((seconds * 2))s" -H "$cookie" "$base/sittings/$sheet" >/dev/null # warm
measure 'style sheet'                        "$base$css"
measure 'style sheet, with a session cookie' -H "$cookie" "$base$css"
measure "fixed text of the page's size"      -H "Range: bytes=0-$((size - 1))" "$base$plain"
measure 'almost empty page (/join)'          "$base/join"
measure "list of one's own sheets"           -H "$cookie" "$base/sittings"
measure "the sheet's page"                   -H "$cookie" "$base/sittings/$sheet"
measure 'entries, warming'                   -s "$here/entry.lua" "$base"
measure 'entries'                            -s "$here/entry.lua" "$base"

# single rows of the entries' size, on the same cluster
sql "create schema if not exists bench; create table if not exists bench.row (id bigint generated always as identity primary key, text text not null)"
echo "insert into bench.row (text) values (repeat('x', 200));" > "$out/insert.sql"
pgbench=$(compgen -G '/usr/lib/postgresql/*/bin/pgbench' | sort -V | tail -1)
printf '%-40s %8s a second\n' 'pgbench, single rows' "$("${pgbench:-pgbench}" -n -h 127.0.0.1 -p "$db_port" -U keeper -f "$out/insert.sql" -c 50 -j 1 -T "$seconds" galdrin 2>/dev/null | awk '/tps = / {print $3}')"
sql "drop table bench.row; drop schema bench"
