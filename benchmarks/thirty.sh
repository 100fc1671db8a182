#!/usr/bin/env bash
# Thirty people sign in at one instant: benchmarks/thirty.sh, on a running demo. Tells how many are in and after how long.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
out=$(mktemp -d); trap 'rm -rf "$out"' EXIT
. "$here/people.sh"
run=$(date +%s)
sql "insert into person (id, centre_id, role, display_name, sign_in, password_hash)
  select gen_random_uuid(), p.centre_id, 'APPRENTICE', 'Load ' || n, 'thirty.$run.' || n, p.password_hash from person p, generate_series(1, 30) n where p.sign_in = 'b.lindqvist'"
for n in $(seq 30); do token "$n" > "$out/token.$n"; done
begun=$(date +%s%N)
for n in $(seq 30); do
  ( curl -s -o /dev/null -b "$out/$n" -c "$out/$n" --data-urlencode "_csrf=$(cat "$out/token.$n")" -d "signIn=thirty.$run.$n" --data-urlencode 'password=follow the string' "$base/sign-in"
    curl -s -o /dev/null -w '%{http_code}\n' -b "$out/$n" "$base/sittings" > "$out/in.$n"; echo $(( ($(date +%s%N) - begun) / 1000000 )) > "$out/ms.$n" ) &
done
wait
echo "$(cat "$out"/in.* | grep -c 200) of 30 in, the last after $(cat "$out"/ms.* | sort -n | tail -1) ms, the middle one after $(cat "$out"/ms.* | sort -n | sed -n 15p) ms"
