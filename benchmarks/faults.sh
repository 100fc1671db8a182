#!/usr/bin/env bash
# What is taken away while fifty people write, and what becomes of their entries: benchmarks/faults.sh, on a running demo that may be
# thrown away. Each fault comes in the fourth second of thirty; the database is compared with what was acknowledged.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd); cd "$here/.."
seconds=${SECONDS_A_FAULT:-30}; out=$(mktemp -d); second=; trap 'rm -rf "$out"; [ -z "$second" ] || kill -9 "$second" 2>/dev/null || true' EXIT
. "$here/people.sh"
port=${base##*:}; only=${1:-}

second_instance() { # another instance on the same database
  second_port=$((port + 100))
  env SPRING_PROFILES_ACTIVE=demo GALDRIN_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/galdrin" GALDRIN_DB_USER=galdrin GALDRIN_DB_PASSWORD="$(cat "$home/password")" \
    GALDRIN_DB_OWNER=galdrin_owner GALDRIN_DB_OWNER_PASSWORD="$(cat "$home/owner")" GALDRIN_PORT=$second_port GALDRIN_MANAGEMENT_PORT=$((second_port + 1)) \
    java -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -Xmx512m -jar var/app/galdrin-web.jar >"$out/second.log" 2>&1 & second=$!; disown "$second"
  until curl -sf -o /dev/null "http://127.0.0.1:$((second_port + 1))/actuator/health/readiness"; do sleep 0.3; done
}
postmaster() { head -1 "$home/data/postmaster.pid"; }
children() { cat "/proc/$1/task/$1/children"; }
backend() { PGPASSWORD=$(cat "$home/super") psql -qtA -h 127.0.0.1 -p "$db_port" -U keeper -d galdrin -c "select pid from pg_stat_activity where usename = 'galdrin' order by random() limit 1"; }

inject() {
  case $1 in
    nothing|answers-lost) ;;
    application-killed) kill -9 "$(cat var/pid)" ;;
    one-of-two-killed) kill -9 "$second"; second= ;;
    one-of-two-stopped) kill "$second"; second= ;;
    database-killed) kill -9 "$(postmaster)" ;;
    backend-killed) kill -9 "$(backend)" ;;
    database-silent) local all; all="$(postmaster) $(children "$(postmaster)")"; kill -STOP $all; sleep 6; kill -CONT $all ;;
    application-silent) kill -STOP "$(cat var/pid)"; sleep 6; kill -CONT "$(cat var/pid)" ;;
  esac
}

printf '%-22s %s\n' fault 'what came of it'
for fault in nothing application-killed application-silent database-killed backend-killed database-silent answers-lost one-of-two-killed one-of-two-stopped; do
  [ -z "$only" ] || [ "$only" = "$fault" ] || continue
  run=$(date +%s); fifty_join "$run"
  ports=("$port"); lose=0
  case $fault in one-of-two-*) second_instance; ports+=("$second_port");; answers-lost) lose=10;; esac
  java "$here/src/main/java/app/galdrin/benchmarks/FaultRun.java" "$run" "$out" "$seconds" "$lose" "${ports[@]}" > "$out/said" & writing=$!
  sleep 4; inject "$fault"; wait "$writing"
  until sql 'select 1' >/dev/null 2>&1; do sleep 0.5; done
  sql "select key from entry where key like 'fault-$run-%'" | sort > "$out/stored"
  sort "$out/acknowledged" > "$out/sorted"
  printf '%-22s %s; stored %s, lost %s, stored twice %s, stored and not acknowledged %s\n' "$fault" "$(cat "$out/said")" "$(wc -l < "$out/stored")" \
    "$(comm -23 "$out/sorted" "$out/stored" | wc -l)" "$(uniq -d "$out/stored" | wc -l)" "$(comm -13 "$out/sorted" <(uniq "$out/stored") | wc -l)"
done
