-- Fills the demo's centre with the sittings :from to :to - 1, all handed in and one in ten of them not released yet, over ten years, so that
-- lists can be timed at several sizes: psql -v from=0 -v to=1000 -f fill-sittings.sql. The same numbers give the same sittings. As the role
-- that owns the tables, and for a throw-away database only.
\set ON_ERROR_STOP on
begin;
create temporary table one as
select b.centre_id, b.task_id, b.sheet_id, b.state_id, t.created_by,
       array(select m.person_id from task_version v join class_member m on m.centre_id = v.centre_id and m.class_id = v.class_id
             where v.centre_id = b.centre_id and v.id = b.task_id order by m.person_id) as people
from task_bay b join task_version t on t.centre_id = b.centre_id and t.id = b.task_id
order by b.task_id, b.bay limit 1;

create temporary table made as
select k, md5('sitting' || k)::uuid as id, md5('opening' || k / 100)::uuid as opening_id, people[1 + k % cardinality(people)] as person_id,
       1 + (k % 100) / cardinality(people) as attempt,
       timestamptz '2016-09-01 08:00Z' + k * interval '50 minutes' as begun_at, one.*
from generate_series(:from, :to - 1) k, one;

insert into opening (id, centre_id, task_id, code, opened_by, opened_at, closes_at, closed_at)
select distinct on (opening_id) opening_id, centre_id, task_id, 'FFFFFF', created_by, begun_at, begun_at, begun_at from made;
insert into sitting (id, centre_id, task_id, opening_id, person_id, purpose, sheet_id, state_id, attempt, begun_at)
select id, centre_id, task_id, opening_id, person_id, 'practical', sheet_id, state_id, attempt, begun_at from made;
insert into sitting_person (centre_id, sitting_id, person_id) select centre_id, id, person_id from made;
insert into sitting_state (centre_id, sitting_id, task_id, purpose, last_seq, apprentice_entries, last_step, last_at, handed_in_at, signed, released_at)
select centre_id, id, task_id, 'practical', 80, 80, 'handIn', begun_at, begun_at + interval '2 hours', k % 10 > 0,
       case when k % 10 > 0 then begun_at + interval '1 day' end
from made;
commit;
analyze opening, sitting, sitting_person, sitting_state;
