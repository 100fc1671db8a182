-- Tables carry nouns, as the types do. Rights, keys and indexes go with them;
-- the body of a function is text, and is written again.
alter table sitting_joined rename to sitting_join;
alter table sitting_opened rename to desk_visit;
alter table sitting_welcome rename to sitting_readmission;
alter table sitting_marked_by rename to marking_basis;
alter table state_put_back rename to state_restoration;
alter table task_retired rename to task_retirement;
alter table set_up rename to first_run;

create or replace function erase_person(centre uuid, person uuid, eraser uuid, name_instead text) returns integer
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
  delete from marking_basis where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_join where centre_id = centre and sitting_id = any (sheets);
  delete from sitting_readmission where centre_id = centre and sitting_id = any (sheets);
  delete from desk_visit where centre_id = centre and sitting_id = any (sheets);
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
