#!/usr/bin/env bash
# What entries take beside an instructor's heavy work, on a running demo: benchmarks/beside.sh [SECONDS]. Fifty people write an entry a second
# each, alone and then beside each kind of work, which an instructor or a verifier asks for again and again. Needs wrk and curl. Adds to the
# demo: ./galdrin demo --fresh afterwards.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
seconds=${1:-20}; out=$(mktemp -d); trap 'kill $(jobs -p) 2>/dev/null || true; rm -rf "$out"' EXIT
. "$here/people.sh"
fifty_join "$(date +%s)"
export PEOPLE=$out
cat "$here/entry.lua" - > "$out/paced.lua" <<'L'
function delay() return 900 + math.random(200) end
function done(summary, latency)
  io.write(string.format("%6d entries   half %6.0f ms   95 in 100 %6.0f ms   slowest %6.0f ms   not written %d\n", summary.requests,
    latency:percentile(50) / 1000, latency:percentile(95) / 1000, latency.max / 1000, summary.errors.status + summary.errors.timeout))
end
L
sign_in() { # NAME
  local form; form=$(token "$1")
  curl -s -o /dev/null -b "$out/$1" -c "$out/$1" --data-urlencode "_csrf=$form" -d "signIn=$1" --data-urlencode 'password=follow the string' "$base/sign-in"
}
sign_in m.aldous; sign_in e.varga
task=$(sql "select i.task_id from mark_sheet m join sitting i on i.centre_id = m.centre_id and i.id = m.sitting_id group by 1 order by count(*) desc limit 1")
released=$(sql "select sitting_id from sitting_state where released_at is not null limit 1")
of_class=$(sql "select class_id from task_version where id = '$task'")
press() { local form; form=$(token "$1"); curl -s -o /dev/null -b "$out/$1" -c "$out/$1" --data-urlencode "_csrf=$form" "${@:3}" "$base$2"; } # WHO PATH FIELDS...
again() { while :; do "$@" >/dev/null 2>&1 || sleep 1; done; }

entries() { printf '%-34s ' "$1"; wrk -t1 -c50 -d"${seconds}s" --timeout 20s -s "$out/paced.lua" "$base" 2>&1 | grep 'entries '; }
beside() { # NAME COMMAND...
  again "${@:2}" & local work=$!
  sleep 2; entries "$1"
  kill "$work" 2>/dev/null || true; wait "$work" 2>/dev/null || true; sleep 2
}
try_out() { press m.aldous "/tasks/$task/try"; sleep 2; }
remark() { press m.aldous "/marking/re-mark/$task" -d reason=measured; sleep 3; }
entries 'warming'
entries 'alone'
beside 'try-outs'                 try_out
beside 're-marking'               remark
beside 'the class on one sheet'   page m.aldous "/marking/class/$task"
beside 'who varied'               page m.aldous "/marking/class/$task/variation"
beside 'sheets alike'             page m.aldous "/marking/class/$task/matching-readings"
beside 'results of a class'       page m.aldous "/classes/$of_class/results.csv"
beside 'feedback on paper'        page m.aldous "/sittings/$released/feedback.pdf"
beside 'the marking desk'         page m.aldous "/marking/$released"
beside 'the bench'                page m.aldous /tasks/new
beside 'backup'                   ./galdrin backup "$out/backup.$RANDOM.tar"
entries 'alone, once more'
