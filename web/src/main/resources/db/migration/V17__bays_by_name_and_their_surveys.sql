-- Bays have names, and their surveys a history: surveys are added, never changed.
alter table bay add column name text not null default '' check (length(name) <= 60);
create table bay_survey (
  id uuid not null,
  centre_id uuid not null,
  bay integer not null,
  along numeric not null check (along between -5 and 5),
  across numeric not null check (across between -5 and 5),
  doubt numeric not null check (doubt between 0 and 5),
  faces text not null check (faces in ('farEnd', 'door')),
  surveyed_on date not null,
  made_by uuid,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  foreign key (centre_id, bay) references bay,
  foreign key (centre_id, made_by) references person
);
create index bay_survey_of_bay on bay_survey (centre_id, bay, made_at desc, id desc);
insert into bay_survey (id, centre_id, bay, along, across, doubt, faces, surveyed_on, made_at)
select gen_random_uuid(), centre_id, number, coalesce(pitch, 0), coalesce(roll, 0), coalesce(doubt, 0), 'farEnd', surveyed_at::date, surveyed_at
from bay where surveyed_at is not null;
alter table bay drop column pitch, drop column roll, drop column doubt, drop column surveyed_at;

-- Since when a sitting has been in its bay: it keeps the survey that held then. Null for one from before surveys were kept where nobody
-- had surveyed its bay: it was worked as level, and is still.
alter table sitting_state add column bay_since timestamptz;
update sitting_state z set bay_since = greatest(clock_timestamp(), s.made_at)
from bay_survey s where s.centre_id = z.centre_id and s.bay = z.bay;

-- A reference was taken in the bay in which its vehicle stood; where all who sat there were in that one, it is known which.
update sitting_state z set bay = b.bay, bay_since = case when exists (select from bay_survey s where s.centre_id = z.centre_id and s.bay = b.bay)
    then clock_timestamp() end
from sitting r
join lateral (
  select min(y.bay) as bay from sitting i join sitting_state y on y.centre_id = i.centre_id and y.sitting_id = i.id
  where i.centre_id = r.centre_id and i.state_id = r.state_id and i.purpose = 'practical'
  having count(distinct coalesce(y.bay, 0)) = 1 and min(y.bay) > 0) b on true
where r.purpose = 'reference' and z.centre_id = r.centre_id and z.sitting_id = r.id;
-- bays that tasks and sittings name are bays of their centre
insert into bay (centre_id, number)
select centre_id, bay from task_bay where bay > 0 union select centre_id, bay from sitting_state where bay between 1 and 99
on conflict do nothing;
