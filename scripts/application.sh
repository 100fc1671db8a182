# The application. Read by ./galdrin.

# Sets app_java to the command that starts it. The demo compiles and collects lightly, which starts soonest; an operator's own runs long, and
# so does a demo that is measured (GALDRIN_COMPILER=full): a collector that stops everybody for half a second would be felt there.
# The command itself, not a function, so that the process started is java and can be told to stop.
set_app_java() {
  local light=(); [ "${SPRING_PROFILES_ACTIVE:-}${GALDRIN_COMPILER:-}" != demo ] || light=(-XX:TieredStopAtLevel=1 -XX:+UseSerialGC)
  app_java=(java "${light[@]}" -Xmx512m -XX:+ExitOnOutOfMemoryError -Xlog:cds=off -Xlog:cds+dynamic=off)
  if [ -e "$var/app/galdrin.jsa" ]; then app_java+=("-XX:SharedArchiveFile=$var/app/galdrin.jsa"); fi
}

archive_classes() { # needs the database up; the application starts once, writes the archive and ends
  [ -e "$var/app/galdrin.jsa" ] && return
  say "Preparing a quick start ..."
  set_app_java
  "${app_java[@]}" -XX:ArchiveClassesAtExit="$var/app/galdrin.jsa" -Dspring.context.exit=onRefresh -jar "$var/app/galdrin-web.jar" >"$var/archive.log" 2>&1 9>&- || true
}

# One start a folder. The lock is the command's and the application's: it holds as long as either of them lives.
alone() {
  mkdir -p "$var"
  exec 9>"$var/lock"
  flock -n 9 && return
  local place; place=$(sed -n "s/^/ at /p" "$var/address" 2>/dev/null || true)
  if [ -s "$var/command" ] && ! kill -0 "$(cat "$var/command")" 2>/dev/null; then
    die "it is already running from this folder$place, but the command that watches it has ended, so a crash would not restart it. Run ./galdrin stop, then start it again."
  fi
  die "it is already running from this folder$place. Use that one, or stop it with ./galdrin stop."
}

# is_ours PID: whether this is the application of this folder, and not another process that got its number
is_ours() { [ -n "$1" ] && kill -0 "$1" 2>/dev/null && { tr '\0' '\n' <"/proc/$1/cmdline"; } 2>/dev/null | grep -qxF "$var/app/galdrin-web.jar"; }

# Runs the application until it is told to stop; one that ends by itself is started again, and so is a private database.
run_app() { # WORDS [HOME]: what to print once it answers, and the home of the private database
  local words=$1 home=${2:-} wanted=${GALDRIN_PORT:-8080} ends=()
  echo $$ > "$var/command"
  stopping=
  trap 'stopping=1; say "Stopping ..."; kill "$app" 2>/dev/null || true' INT TERM HUP
  keep_last_logs
  start_app || return 2
  printf '\nGaldrin answers at http://localhost:%s\n%s\nCtrl-C stops it.\n' "$GALDRIN_PORT" "$words"
  grep '^Set-up code' "$var/console.log" || true
  share_words
  while true; do
    if kill -0 "$app" 2>/dev/null; then
      if [ -n "$home" ] && [ -z "$stopping" ]; then raise_the_dead "$home"; fi
      sleep 1 9>&- & wait $! || true
    else
      local status=0; wait "$app" 2>/dev/null || status=$?
      [ -z "$stopping" ] && [ $status != 0 ] && [ $status != 143 ] || break
      ends+=("$SECONDS")
      if [ ${#ends[@]} -gt 5 ] && [ $((SECONDS - ends[-6])) -lt 3600 ]; then
        say "The application has ended by itself six times within an hour ($status), and is not started again. The reason is at the end of $var/console.log or $GALDRIN_LOG."
        break
      fi
      say "The application has ended by itself ($status); starting it again ..."
      [ -z "$home" ] || raise_the_dead "$home"
      start_app || return 2
      say "It answers again at http://localhost:$GALDRIN_PORT."
    fi
  done
  rm -f "$var/pid" "$var/address" "$var/command"
}

# On the port that is wanted or the next free one; another program may take that at this very moment, so that the next is tried.
start_app() {
  local tries
  for tries in 1 2 3 4 5; do
    export GALDRIN_PORT GALDRIN_MANAGEMENT_PORT
    GALDRIN_PORT=$(free_port "$wanted")
    GALDRIN_MANAGEMENT_PORT=$(free_port "${management:=${GALDRIN_MANAGEMENT_PORT:-8081}}")
    [ "$GALDRIN_MANAGEMENT_PORT" != "$GALDRIN_PORT" ] || GALDRIN_MANAGEMENT_PORT=$(free_port $((GALDRIN_PORT + 1)))
    [ "$GALDRIN_PORT" = "$wanted" ] || say "Port $wanted is taken by another program; using $GALDRIN_PORT."
    wanted=$GALDRIN_PORT
    if [ -n "${share_host:-}" ]; then export GALDRIN_PUBLIC_ADDRESS="http://$share_host:$GALDRIN_PORT"; fi
    set_app_java
    ready_before=$(grep -c '^ready$' "$var/console.log" 2>/dev/null || true)
    "${app_java[@]}" -jar "$var/app/galdrin-web.jar" >>"$var/console.log" 2>&1 & app=$!
    echo "$app" > "$var/pid"; echo "http://localhost:$GALDRIN_PORT" > "$var/address"
    if app_answers; then return; fi
    rm -f "$var/pid" "$var/address"
    grep -qE 'Port [0-9]+ was already in use|Address already in use' "$var/console.log" || { start_failed; return 2; }
  done
  start_failed; return 2
}

app_answers() {
  local tries=0
  # by its own word, once its demo data are loaded too: the port may be answered by another's
  until [ "$(grep -c '^ready$' "$var/console.log")" -gt "${ready_before:-0}" ]; do
    kill -0 "$app" 2>/dev/null || return 1
    tries=$((tries + 1)); [ $tries -lt 3000 ] || { kill "$app"; return 1; }
    sleep 0.1
  done
}

# The log is rotated by the application; what a start prints besides is kept for the last five.
keep_last_logs() {
  export GALDRIN_LOG="${GALDRIN_LOG:-$var/log/galdrin.log}" GALDRIN_CONSOLE_THRESHOLD=ERROR
  local n
  for n in 4 3 2 1; do [ ! -e "$var/console.log.$n" ] || mv "$var/console.log.$n" "$var/console.log.$((n + 1))"; done
  [ ! -e "$var/console.log" ] || mv "$var/console.log" "$var/console.log.1"
}

start_failed() {
  local reason; reason=$(grep -m1 -oE '(password authentication failed|Connection to [^ ]+ refused|database "[^"]+" does not exist|Validate failed|Port [0-9]+ was already in use)' "$var/console.log" | head -1 || true)
  say "galdrin: the application did not start${reason:+: $reason}. What it printed is in $var/console.log, its log in $GALDRIN_LOG."
  case $reason in
    *refused*|*authentication*|*exist*) say "Check GALDRIN_DB_URL, GALDRIN_DB_USER and GALDRIN_DB_PASSWORD, and that the database runs.";;
    Validate*) say "The database was made by another version; for the demo, ./galdrin demo --fresh starts over.";;
  esac
}

# ---- phones in the same network

# share: lets the application listen to the network it is in
share() {
  share_host=$(hostname -I 2>/dev/null | cut -d' ' -f1)
  [ -n "$share_host" ] || die "this computer is in no network, so that nothing can be shared. Run ./galdrin demo without --share."
  export GALDRIN_ADDRESS=0.0.0.0
}

share_words() {
  [ -n "${share_host:-}" ] || return 0
  sed -n 's/^qr: //p' "$var/console.log"
  printf 'Phones and tablets of this network join at %s/join\n' "$GALDRIN_PUBLIC_ADDRESS"
  printf 'The passwords of the demo are public: whoever is in this network can sign in, as an instructor too.\n'
}
