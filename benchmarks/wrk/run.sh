#!/usr/bin/env bash
# What a request costs, on a running demo: benchmarks/wrk/run.sh [SECONDS]. Needs wrk, curl and the demo's private cluster. It adds fifty
# people and their entries to the demo: ./galdrin demo --fresh afterwards.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/../.."
seconds=${1:-10}; base=$(cat var/address); base=${base/localhost/127.0.0.1}; home=$(cat var/cluster-home)
out=$(mktemp -d); trap 'rm -rf "$out"' EXIT
port=$(cat "$home/port"); export PGPASSWORD; PGPASSWORD=$(cat "$home/super")
sql() { psql -qtA -h 127.0.0.1 -p "$port" -U keeper -d galdrin -v ON_ERROR_STOP=1 -c "$1"; }
page() { curl -sf -b "$out/$1" -c "$out/$1" "$base$2"; } # JAR PATH
token() { page "$1" /join | grep -o 'name="csrf-token" content="[^"]*' | cut -d'"' -f4; }
cookies() { awk '/SESSION/ {print "SESSION=" $NF} /galdrin-form/ {print "galdrin-form=" $NF}' "$out/$1" | paste -sd';'; }

# fifty people in the class of an open task, each joined by its code
task=$(sql "select t.id from task_version t join opening o on o.centre_id = t.centre_id and o.task_id = t.id where o.closed_at is null and exists (
  select 1 from entry e join sitting i on i.centre_id = e.centre_id and i.id = e.sitting_id where i.task_id = t.id) order by (select count(*) from sitting i where i.task_id = t.id) desc limit 1")
code=$(sql "select code from opening where task_id = '$task' and closed_at is null")
run=$(date +%s)
sql "with people as (insert into person (id, centre_id, role, display_name, sign_in, password_hash)
    select gen_random_uuid(), t.centre_id, 'APPRENTICE', 'Load ' || n, 'load.$run.' || n, '-' from task_version t, generate_series(1, 50) n where t.id = '$task'
    returning id, centre_id)
  insert into class_member select p.centre_id, t.class_id, p.id from people p join task_version t on t.id = '$task'"
{ echo 'people = {'
  for person in $(sql "select id from person where sign_in like 'load.$run.%'"); do
    t=$(token "$person")
    sheet=$(curl -s -o /dev/null -w '%{redirect_url}' -b "$out/$person" -c "$out/$person" --data-urlencode "_csrf=$t" -d "code=$code&person=$person&bay=" "$base/join" | sed 's#.*/sittings/##')
    t=$(token "$person")
    echo "{ \"$sheet\", \"$(cookies "$person")\", \"${t//+/%2B}\" },"
  done
  echo '}'
  echo 'lines = {'
  sql "select distinct on (step, line, repeat_no) '{ \"' || step || '/' || line || '/' || repeat_no || '/' || round_no || '\", \"' || replace(replace(written, ' ', '%20'), '+', '%2B') || '\" },'
    from entry e join sitting i on i.centre_id = e.centre_id and i.id = e.sitting_id
    where i.task_id = '$task' and e.value is not null and not is_strike and round_no = 0 and e.role = 'APPRENTICE' limit 40"
  echo '}'
} > "$out/people.lua"
export PEOPLE=$out/people.lua
first=$(sed -n 2p "$out/people.lua"); sheet=$(cut -d'"' -f2 <<<"$first"); cookie="Cookie: $(cut -d'"' -f4 <<<"$first")"
size=$(curl -sf -H "$cookie" "$base/sittings/$sheet" | wc -c)
css=$(page none /join | grep -o '/assets/style/galdrin[^"]*')
plain=$(page none /join | grep -o '/[a-z]*/*webjars/bootstrap/[^"]*css' | head -1)

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
[ -z "${PROFILE:-}" ] || { echo "$cookie" > /tmp/cookie; echo "$sheet" > /tmp/sheet; cp "$out/people.lua" /tmp/people.lua; exit; }
measure 'entries, warming'                   -s "$here/entry.lua" "$base"
measure 'entries'                            -s "$here/entry.lua" "$base"

# single rows of the entries' size, on the same cluster
sql "create table if not exists bench_row (id bigint generated always as identity primary key, text text not null)"
echo "insert into bench_row (text) values (repeat('x', 200));" > "$out/insert.sql"
pgbench=$(compgen -G '/usr/lib/postgresql/*/bin/pgbench' | sort -V | tail -1)
printf '%-40s %8s a second\n' 'pgbench, single rows' "$("${pgbench:-pgbench}" -n -h 127.0.0.1 -p "$port" -U keeper -f "$out/insert.sql" -c 50 -j 1 -T "$seconds" galdrin 2>/dev/null | awk '/tps = / {print $3}')"
sql "drop table bench_row"
