# Fifty people in the class of an open task of the running demo, each joined by its code. Read by requests.sh and faults.sh, with $out a
# folder of their own. Writes people.tsv (sheet, cookies, form token) and lines.tsv (line, text) there. They stay in the demo:
# ./galdrin demo --fresh afterwards.
base=$(cat var/address); base=${base/localhost/127.0.0.1}; home=$(cat var/cluster-home)
db_port=$(cat "$home/port"); export PGPASSWORD; PGPASSWORD=$(cat "$home/super")
sql() { psql -qtA -h 127.0.0.1 -p "$db_port" -U keeper -d galdrin -v ON_ERROR_STOP=1 -c "$1"; }
page() { curl -sf -b "$out/$1" -c "$out/$1" "$base$2"; } # JAR PATH
token() { page "$1" /join | grep -o 'name="csrf-token" content="[^"]*' | cut -d'"' -f4; }
cookies() { awk '/SESSION/ {print "SESSION=" $NF} /galdrin-form/ {print "galdrin-form=" $NF}' "$out/$1" | paste -sd';'; }

fifty_join() {
  local task code bay run=$1 person t sheet
  task=$(sql "select t.id from task_version t join opening o on o.centre_id = t.centre_id and o.task_id = t.id
    where o.closed_at is null and exists (select 1 from entry e join sitting i on i.centre_id = e.centre_id and i.id = e.sitting_id where i.task_id = t.id)
    order by (select count(*) from sitting i where i.task_id = t.id) desc limit 1")
  code=$(sql "select code from opening where task_id = '$task' and closed_at is null")
  bay=$(sql "select min(bay) from task_bay where task_id = '$task'")
  # those of earlier runs have had their turn: a class lists 500 names
  sql "delete from class_member m using person p where p.centre_id = m.centre_id and p.id = m.person_id and p.sign_in like 'load.%'"
  sql "with people as (insert into person (id, centre_id, role, display_name, sign_in, password_hash)
      select gen_random_uuid(), t.centre_id, 'APPRENTICE', 'Load ' || n, 'load.$run.' || n, '-' from task_version t, generate_series(1, 50) n where t.id = '$task'
      returning id, centre_id)
    insert into class_member select p.centre_id, t.class_id, p.id from people p join task_version t on t.id = '$task'"
  for person in $(sql "select id from person where sign_in like 'load.$run.%'"); do
    t=$(token "$person")
    sheet=$(curl -s -o /dev/null -w '%{redirect_url}' -b "$out/$person" -c "$out/$person" --data-urlencode "_csrf=$t" -d "code=$code&person=$person&bay=$bay" "$base/join" | sed 's#.*/sittings/##')
    t=$(token "$person")
    printf '%s\t%s\t%s\n' "$sheet" "$(cookies "$person")" "${t//+/%2B}"
  done > "$out/people.tsv"
  sql "select distinct on (step, line, repeat_no) step || '/' || line || '/' || repeat_no || '/' || round_no || e'\t' || replace(replace(written, ' ', '%20'), '+', '%2B')
    from entry e join sitting i on i.centre_id = e.centre_id and i.id = e.sitting_id
    where i.task_id = '$task' and e.value is not null and not is_strike and round_no = 0 and e.role = 'APPRENTICE' limit 40" > "$out/lines.tsv"
}
