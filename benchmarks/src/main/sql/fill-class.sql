-- Copies the past block's marked sheets to the people :from to :to - 1, each somebody new in its class, so that a class matrix can be timed
-- at several sizes: psql -v from=16 -v to=400 -f fill-class.sql. As the role that owns the tables, and for a throw-away database only.
\set ON_ERROR_STOP on
begin;
create temporary table pattern as
select s.*, row_number() over (order by s.id) - 1 as place, count(*) over () as many
from sitting s
join task_version t on t.centre_id = s.centre_id and t.id = s.task_id and t.title like 'Block 2%'
join sitting_state z on z.centre_id = s.centre_id and z.sitting_id = s.id and z.signed
where s.purpose = 'practical';

create temporary table copied as
select n, p.id as old, p.centre_id, md5('class' || n)::uuid as id, md5('classmate' || n)::uuid as person_id
from generate_series(:from, :to - 1) n join pattern p on p.place = n % p.many;

insert into person (id, centre_id, role, display_name, sign_in, password_hash)
select person_id, centre_id, 'APPRENTICE', 'Classmate ' || n, 'classmate.' || n, '-' from copied;
insert into sitting
select made.* from copied c join pattern p on p.id = c.old join sitting s on s.centre_id = c.centre_id and s.id = c.old,
  lateral jsonb_populate_record(s, jsonb_build_object('id', c.id, 'person_id', c.person_id)) made;
insert into sitting_person select centre_id, id, person_id from copied;
insert into sitting_state
select made.* from copied c join sitting_state s on s.centre_id = c.centre_id and s.sitting_id = c.old,
  lateral jsonb_populate_record(s, jsonb_build_object('sitting_id', c.id)) made;
insert into mark_sheet
select made.* from copied c join mark_sheet m on m.centre_id = c.centre_id and m.sitting_id = c.old,
  lateral jsonb_populate_record(m, jsonb_build_object('sitting_id', c.id, 'person_id', c.person_id)) made;
insert into mark_line
select made.* from copied c join mark_line m on m.centre_id = c.centre_id and m.sitting_id = c.old,
  lateral jsonb_populate_record(m, jsonb_build_object('sitting_id', c.id, 'person_id', c.person_id)) made;
commit;
analyze person, sitting, sitting_person, sitting_state, mark_sheet, mark_line;
