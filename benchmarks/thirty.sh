#!/usr/bin/env bash
# Thirty people sign in at one instant, or as many as are named: benchmarks/thirty.sh [PEOPLE], on a running demo. Tells how many are in and
# after how long; whoever is told to wait a moment tries again.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
out=$(mktemp -d); trap 'rm -rf "$out"' EXIT
. "$here/people.sh"
run=$(date +%s); many=${1:-30}
sql "insert into person (id, centre_id, role, display_name, sign_in, password_hash)
  select gen_random_uuid(), p.centre_id, 'APPRENTICE', 'Load ' || n, 'thirty.$run.' || n, p.password_hash from person p, generate_series(1, $many) n where p.sign_in = 'b.lindqvist'"
for n in $(seq "$many"); do token "$n" > "$out/token.$n"; done
begun=$(date +%s%N)
for n in $(seq "$many"); do
  ( for try in 1 2 3 4 5 6; do
      to=$(curl -s -o /dev/null -w '%{redirect_url}' -b "$out/$n" -c "$out/$n" --data-urlencode "_csrf=$(cat "$out/token.$n")" -d "signIn=thirty.$run.$n" --data-urlencode 'password=follow the string' "$base/sign-in")
      [[ $to == *busy* || -z $to ]] || break
    done
    echo "$try" > "$out/tries.$n"
    curl -s -o /dev/null -w '%{http_code}\n' -b "$out/$n" "$base/sittings" > "$out/in.$n"; echo $(( ($(date +%s%N) - begun) / 1000000 )) > "$out/ms.$n" ) &
done
wait
echo "$(cat "$out"/in.* | grep -c 200) of $many in, the last after $(cat "$out"/ms.* | sort -n | tail -1) ms, the middle one after $(cat "$out"/ms.* | sort -n | sed -n $(((many + 1) / 2))p) ms; most tries $(cat "$out"/tries.* | sort -n | tail -1)"
