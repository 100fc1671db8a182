# The private database cluster. Read by ./galdrin.
# The cluster never runs as root: root drops to Debian's postgres user, anyone else runs it as himself.
# What it starts must not hold the lock of the command that started it (descriptor 9): that belongs to the application.
# It also leaves this folder, which may be closed to it.
as_owner() { (cd /; if is_root; then runuser -u postgres -- "$@"; else "$@"; fi) 9>&-; }
owner_name() { if is_root; then echo postgres; else id -un; fi; }
pg() { as_owner "$(compgen -G '/usr/lib/postgresql/*/bin' | sort -V | tail -1)/$1" "${@:2}"; }
random_word() { head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9' | head -c 24; }
port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local p=$1; while port_taken "$p"; do p=$((p + 1)); done; echo "$p"; }

# choose_home: sets home to the place of the database. It is chosen once, after PostgreSQL is installed (before that its user does
# not exist and no folder seems open to it), and remembered: a place that changes leaves everything entered out of sight.
choose_home() {
  need_postgres; mkdir -p "$var"
  local outside other; outside=$(outside_home)
  if [ -s "$var/cluster-home" ]; then
    home=$(cat "$var/cluster-home")
  elif holds_data "$var/cluster" && holds_data "$outside"; then
    # both hold data: the one that was in use last, and the other is named
    home=$var/cluster; other=$outside
    if [ "$outside/data/global/pg_control" -nt "$var/cluster/data/global/pg_control" ]; then home=$outside; other=$var/cluster; fi
    say "There are two databases of this folder. Using the one that was in use last, in $home; another lies in $other and is left alone."
    say "To use that one instead: ./galdrin stop; echo $other > $var/cluster-home"
  elif holds_data "$outside"; then home=$outside
  elif holds_data "$var/cluster" || as_owner test -x "$var" 2>/dev/null; then home=$var/cluster
  else home=$outside; fi
  [ "$home" = "$var/cluster" ] || say "The database lies in $home."
  as_owner test -x "$(nearest_folder "$home")" 2>/dev/null ||
    die "the database in $home can not be reached by the user $(owner_name). Open the folders above it to everyone (chmod o+x), then run it again."
  echo "$home" > "$var/cluster-home"
}
outside_home() { echo "/var/lib/galdrin/$(printf %s "$here" | cksum | cut -d' ' -f1)"; }
holds_data() { [ -e "$1/ready" ]; }
nearest_folder() { local at=$1; while [ ! -d "$at" ]; do at=$(dirname "$at"); done; echo "$at"; }

socket_of() { echo "/tmp/galdrin-$(owner_name)-$(printf %s "$1" | cksum | cut -d' ' -f1)"; } # HOME

# take_restored HOME: puts a cluster that restore has finished beside it into its place; restore may have been killed just before that
take_restored() {
  [ -e "$1.restoring/restored" ] && ! holds_data "$1" || return 0
  rm -rf "$1"; mv "$1.restoring" "$1"; rm -f "$1/restored"
}

# cluster_up HOME: makes the cluster if it is not there, starts it; sets db_port and db_password
cluster_up() {
  local home=$1 data=$1/data
  need_postgres
  take_restored "$home"
  if [ -d "$home" ] && [ ! -e "$home/ready" ]; then
    say "An earlier start was broken off while it made the database. Nothing was in it yet; making it again."
    cluster_down "$home"; rm -rf "$home"
  fi
  [ -d "$home" ] || cluster_make "$home"
  drop_stale_lock "$home"
  if pg pg_ctl status -D "$data" >/dev/null 2>&1; then
    db_port=$(sed -n 4p "$data/postmaster.pid")
  else
    cluster_start_somewhere "$home" ||
      die "the database did not start. The reason is at the end of $home/log. If another start holds it, run ./galdrin stop; to start over with fresh demo data, run ./galdrin demo --fresh."
  fi
  db_password=$(cat "$home/password")
  give_the_tables_an_owner "$home"
}

keeper() { # HOME PORT SQL...: as the cluster's own superuser
  local home=$1 port=$2 statements=(); shift 2
  for statement; do statements+=(-c "$statement"); done
  PGPASSWORD=$(cat "$home/super") pg psql -q -h 127.0.0.1 -p "$port" -U keeper -d galdrin -v ON_ERROR_STOP=1 "${statements[@]}"
}

# The tables belong to a role of their own, which migrates them: the application's role can add to what was written, not change it. A
# cluster from before has one role for both; its tables are handed over once.
give_the_tables_an_owner() { # HOME
  if [ ! -s "$1/owner" ]; then
    local word; word=$(random_word)
    keeper "$1" "$db_port" "create role galdrin_owner login password '$word'" "reassign owned by galdrin to galdrin_owner" \
      "alter database galdrin owner to galdrin_owner" "alter schema public owner to galdrin_owner" >/dev/null ||
      die "the tables could not be given to their owner. The reason is above; the log is $1/log."
    (umask 077; echo "$word" > "$1/owner")
  fi
  db_owner_password=$(cat "$1/owner")
}

# A killed server leaves its lock; PostgreSQL takes it for a running one if the process id is in use again.
drop_stale_lock() { # HOME
  local pid; pid=$(as_owner head -1 "$1/data/postmaster.pid" 2>/dev/null) || return 0
  if ! { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -q postgres; then
    say "A database that was killed left its locks behind; taking them away."
    as_owner rm -f "$1/data/postmaster.pid" "$(cat "$1/socket")"/.s.PGSQL.*.lock
  fi
}

# On its port of before or the next free one; another start may take that at this very moment, so that the next is tried. Sets db_port.
cluster_start_somewhere() { # HOME
  local tries
  db_port=$(free_port "$(cat "$1/port" 2>/dev/null || echo 54329)")
  for tries in 1 2 3 4 5; do
    if cluster_start "$1" "$db_port"; then echo "$db_port" > "$1/port"; return; fi
    port_taken "$db_port" || return 1 # nobody is there: it is something else
    db_port=$(free_port $((db_port + 1)))
  done
  return 1
}

cluster_start() { # HOME PORT
  local socket; socket=$(cat "$1/socket")
  as_owner mkdir -p -m 700 "$socket"
  pg pg_ctl start -w -t 60 -D "$1/data" -l "$1/log" -o "-p $2 -h 127.0.0.1 -k $socket" </dev/null >/dev/null 2>&1
}

cluster_make() {
  local home=$1 db_port super
  say "Making a private PostgreSQL cluster in $home ..."
  mkdir -p "$home"; chmod 755 "$home"
  install -d -m 700 -o "$(owner_name)" "$home/data"
  install -m 600 -o "$(owner_name)" /dev/null "$home/log"
  (umask 077; random_word > "$home/password"; random_word > "$home/super")
  super=$(mktemp); cat "$home/super" > "$super"; is_root && chown postgres "$super"
  socket_of "$home" > "$home/socket"
  pg initdb -D "$home/data" --username=keeper --pwfile="$super" --auth=scram-sha-256 --data-checksums \
    --encoding=UTF8 --locale=C.UTF-8 --locale-provider=icu --icu-locale=en-US >"$home/initdb.log" 2>&1 \
    || die "the database could not be made. The reason is in $home/initdb.log; is the disk full or write-protected?"
  rm -f "$super"
  cluster_start_somewhere "$home" || die "the new database did not start. The reason is at the end of $home/log."
  PGPASSWORD=$(cat "$home/super") pg psql -q -h 127.0.0.1 -p "$db_port" -U keeper -d postgres -v ON_ERROR_STOP=1 >/dev/null \
    -c "create role galdrin login password '$(cat "$home/password")'" -c "create database galdrin owner galdrin"
  touch "$home/ready"
}

cluster_down() { [ ! -d "$1/data" ] || pg pg_ctl stop -w -m fast -D "$1/data" >/dev/null 2>&1 || true; }

use_cluster() {
  export GALDRIN_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/galdrin" GALDRIN_DB_USER=galdrin GALDRIN_DB_PASSWORD="$db_password"
  export GALDRIN_DB_OWNER=galdrin_owner GALDRIN_DB_OWNER_PASSWORD="$db_owner_password"
}


# Ends the cluster with the command, whatever its folder is called.
down_at_exit() { exit_home=$1; trap 'cluster_down "$exit_home"' EXIT; }

# A database that was killed is started again, on its port, so that the application finds it.
raise_the_dead() { # HOME
  pg pg_ctl status -D "$1/data" >/dev/null 2>&1 && return
  say "The database has ended by itself; starting it again ..."
  drop_stale_lock "$1"
  if cluster_start "$1" "$db_port"; then say "The database is back."; else say "It did not start; trying again. The reason is at the end of $1/log."; fi
}
