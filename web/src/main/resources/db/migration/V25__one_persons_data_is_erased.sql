-- One person's data is erased: the sheets this person sat alone go, with everything that hangs on them; what the person did for others
-- (readings as an instructor, signatures, decisions, lines on a shared sheet) stays without the name. Everywhere else the application's role
-- can delete none of it, so that this is a function with the owner's rights, and each use of it leaves a row.
create table erasure (
  centre_id uuid not null,
  person_id uuid not null,
  erased_by uuid not null,
  erased_at timestamptz not null default clock_timestamp(),
  sheets integer not null check (sheets >= 0),
  primary key (centre_id, person_id),
  foreign key (centre_id, person_id) references person,
  foreign key (centre_id, erased_by) references person
);

-- the state of a vehicle outlives the sheet whose round made it
alter table vehicle_state drop constraint vehicle_state_check, add check (made_by = 'round' or sitting_id is null);

create function erase_person(centre uuid, person uuid, eraser uuid, name_instead text) returns integer
language plpgsql security definer set search_path = ${flyway:defaultSchema}, pg_temp
as $$
declare
  sheets uuid[];
begin
  perform from person p where p.centre_id = centre and p.id = person for update;
  select coalesce(array_agg(i.id), '{}') into sheets
  from (select s.id from sitting s
        join sitting_person sp on sp.centre_id = s.centre_id and sp.sitting_id = s.id
        where s.centre_id = centre and s.purpose = 'practical' and sp.person_id = person
          and not exists (select from sitting_person o
            where o.centre_id = s.centre_id and o.sitting_id = s.id and o.person_id <> person)
        order by s.id for update of s) i;

  delete from second_try where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from moderation_decision where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from moderation_sheet where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from remark_line where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from remark_sheet where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from mark_line where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from mark_sheet where centre_id = centre and (sitting_id = any (sheets) or person_id = person);
  delete from sitting_marked_by where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_joined where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_welcome where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_opened where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_state where centre_id = centre and sitting_id = any (sheets);
  delete from entry where centre_id = centre and sitting_id = any (sheets);
  update vehicle_state set sitting_id = null where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_person where centre_id = centre and person_id = person;
  delete from sitting where centre_id = centre and id = any (sheets);

  delete from class_member where centre_id = centre and person_id = person;
  delete from known_device where centre_id = centre and person_id = person;
  delete from spring_session where principal_name = person::text;
  delete from attempt_count a using person p where p.centre_id = centre and p.id = person and a.account = lower(p.sign_in);
  update person p
  set display_name = name_instead, sign_in = 'erased-' || person, password_hash = '', active = false, stamp = stamp + 1,
    ended_at = clock_timestamp()
  where p.centre_id = centre and p.id = person;
  insert into erasure (centre_id, person_id, erased_by, sheets) values (centre, person, eraser, cardinality(sheets));
  return cardinality(sheets);
end $$;
revoke all on function erase_person(uuid, uuid, uuid, text) from public;
