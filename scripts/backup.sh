# Backup and restore. Read by ./galdrin.
# A backup is a tar file of a dump and of the sums of what must never be lost, both of one moment.

# Sets db_url and db_words: where the database is, for PostgreSQL's own commands, and the password of the role that owns the tables.
find_database() {
  if [ -n "${GALDRIN_DB_URL:-}" ]; then
    need_postgres
    [ -n "${GALDRIN_DB_OWNER:-}" ] || die "set GALDRIN_DB_OWNER and GALDRIN_DB_OWNER_PASSWORD: the role that owns the tables."
    db_url=${GALDRIN_DB_URL#jdbc:}; db_url=${db_url%%\?*}
    db_owner=$GALDRIN_DB_OWNER; db_word=$GALDRIN_DB_OWNER_PASSWORD
  else
    choose_home
    local running=; pg pg_ctl status -D "$home/data" >/dev/null 2>&1 && running=1
    [ -n "$running" ] || [ -e "$home/ready" ] || die "there is no database of this folder yet. Run ./galdrin demo first, or set GALDRIN_DB_URL to your own."
    [ -n "$running" ] || down_at_exit "$home"
    cluster_up "$home"
    db_url=postgresql://127.0.0.1:$db_port/galdrin; db_owner=galdrin_owner; db_word=$db_owner_password
  fi
}

owner_psql() { PGPASSWORD=$db_word pg psql -X -q -t -A -v ON_ERROR_STOP=1 -U "$db_owner" -d "$db_url" "$@"; }

# One line a table, sessions apart: its rows, and the sum of a hash of each, which needs no order and no room
sums_sql() {
  cat <<'S'
select format('select %L || '' '' || count(*) || '' '' || coalesce(sum((''x'' || left(md5(t::text), 15))::bit(60)::bigint), 0) from %I t', tablename, tablename)
from pg_tables where schemaname = 'public' and tablename not like 'spring_session%' order by tablename \gexec
S
}

# backup FILE: checked by restoring it into a second cluster and comparing the sums
backup() {
  [ $# = 1 ] || die "backup takes the file to write."
  local file=$1; [[ $file == /* ]] || file=$OLDPWD/$file
  [ ! -e "$file" ] || die "$file is there already. Choose another name; a backup is never overwritten."
  find_database
  local work; work=$(as_owner mktemp -d)
  say "Writing the backup ..."
  # one snapshot for the sums and the dump, however much is written meanwhile
  { echo "begin isolation level repeatable read read only;"
    echo "select pg_export_snapshot() as snapshot \\gset"
    echo "\\o $work/sums"
    sums_sql
    echo "\\o"
    echo "\\setenv SNAPSHOT :snapshot"
    echo "\\! '$(dirname "$(compgen -G '/usr/lib/postgresql/*/bin/pg_dump' | sort -V | tail -1)")/pg_dump' --snapshot=\$SNAPSHOT --format=custom --no-owner --no-privileges --exclude-table-data='spring_session*' -U '$db_owner' -d '$db_url' -f $work/galdrin.dump && touch $work/done"
  } | owner_psql -f - || die "the database could not be read: see the lines above."
  as_owner test -e "$work/done" || die "the database could not be dumped: see the lines above."
  say "Checking it in a second cluster ..."
  check_dump "$work"
  (umask 077; as_owner tar -C "$work" -c sums galdrin.dump > "$file.part") && mv "$file.part" "$file"
  say "$file holds $(said_sums "$work"), all of them read back and compared. It contains people's names and marks: keep it where only you can read it."
  as_owner rm -rf "$work"
}

# What people ask for first of a backup
said_sums() { # FOLDER
  as_owner cat "$1/sums" | awk '{ rows[$1] = $2; all += $2 }
    END { printf "%d entries, %d mark sheets, %d marks, %d people; %d rows in %d tables", rows["entry"], rows["mark_sheet"], rows["mark_line"], rows["person"], all, length(rows) }'
}

# check_dump FOLDER: restores the dump into a cluster of its own, which is gone afterwards, and compares
check_dump() (
  local second; second=$(mktemp -d /tmp/galdrin-check.XXXXXX); rmdir "$second"
  exit_home=$second
  trap 'cluster_down "$exit_home"; rm -rf "$exit_home" "$(cat "$exit_home/socket" 2>/dev/null)"' EXIT
  cluster_up "$second" 2>/dev/null
  db_url=postgresql://127.0.0.1:$db_port/galdrin; db_owner=galdrin_owner; db_word=$db_owner_password
  restore_dump "$1"
)

# restore_dump FOLDER: into the empty database that db_url names, and compares
restore_dump() {
  PGPASSWORD=$db_word pg pg_restore --no-owner --no-privileges --single-transaction -U "$db_owner" -d "$db_url" "$1/galdrin.dump" ||
    die "the backup could not be restored: see the lines above."
  local read; read=$(sums_sql | owner_psql -f -)
  [ "$read" = "$(as_owner cat "$1/sums")" ] || die "what was restored is not what was backed up. It should be:
$(as_owner cat "$1/sums")
and is:
$read"
}

# restore_beside FOLDER HOME: into a cluster of its own beside the one that is there, which takes its place once everything is read back and
# compared. Killed at any moment, it leaves one or the other.
restore_beside() {
  local new=$2.restoring aside
  cluster_down "$new"; rm -rf "$new" # of a restore that was killed
  down_at_exit "$new"; cluster_up "$new"
  db_url=postgresql://127.0.0.1:$db_port/galdrin; db_owner=galdrin_owner; db_word=$db_owner_password
  restore_dump "$1"
  cluster_down "$new"
  socket_of "$2" > "$new/socket"
  touch "$new/restored"
  if holds_data "$2"; then
    aside="$2.before-$(date +%Y%m%d-%H%M%S)"
    cluster_down "$2"; mv "$2" "$aside"
    say "What was there before lies in $aside."
  fi
  take_restored "$2"
}

# restore FILE: into this folder's own cluster, whose data from before are put aside, or into your own empty database
restore() {
  [ $# = 1 ] || die "restore takes the file that backup wrote."
  local file=$1; [[ $file == /* ]] || file=$OLDPWD/$file
  [ -r "$file" ] || die "$file can not be read."
  alone
  local work; work=$(as_owner mktemp -d)
  as_owner tar -C "$work" -x <"$file" 2>/dev/null && as_owner test -e "$work/galdrin.dump" || die "$file is no backup of Galdrin's."
  if [ -z "${GALDRIN_DB_URL:-}" ]; then
    choose_home
    restore_beside "$work" "$home"
  else
    find_database
    [ "$(echo "select count(*) from information_schema.tables where table_schema = 'public'" | owner_psql -f -)" = 0 ] ||
      die "the database of GALDRIN_DB_URL is not empty. Restore into an empty one, then point GALDRIN_DB_URL at it."
    restore_dump "$work"
  fi
  say "Restored and compared: $(said_sums "$work")."
  as_owner rm -rf "$work"
}
