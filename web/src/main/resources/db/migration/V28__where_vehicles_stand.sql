-- A vehicle stands in a bay, facing one way, in one state, whatever the task. Each change is a row; the newest is what holds now. A state's
-- prior, its setting and its standing are of the same vehicle.
alter table vehicle_state add unique (centre_id, id, vehicle_id),
  add foreign key (centre_id, prior_id, vehicle_id) references vehicle_state (centre_id, id, vehicle_id);
create table vehicle_standing (
  centre_id uuid not null,
  vehicle_id uuid not null,
  seq integer not null check (seq > 0),
  bay integer,
  facing text check (facing in ('farEnd', 'door')),
  state_id uuid not null,
  cause text not null check (cause in ('preset', 'round', 'putBack', 'outside', 'placed', 'lent')),
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, vehicle_id, seq),
  check ((bay is null) = (facing is null)),
  foreign key (centre_id, vehicle_id) references vehicle,
  foreign key (centre_id, bay) references bay,
  foreign key (centre_id, state_id, vehicle_id) references vehicle_state (centre_id, id, vehicle_id),
  foreign key (centre_id, made_by) references person
);
create index vehicle_standing_of_state on vehicle_standing (centre_id, state_id);

-- A state that was put back has the setting of an earlier one. What was called put back until now was set anew.
alter table vehicle_state drop constraint vehicle_state_made_by_check, add column setting_id uuid;
update vehicle_state set made_by = 'preset' where made_by = 'putBack';
alter table vehicle_state
  add check (made_by in ('preset', 'round', 'putBack', 'outside')),
  add check ((made_by = 'putBack') = (setting_id is not null)),
  add foreign key (centre_id, setting_id, vehicle_id) references vehicle_state (centre_id, id, vehicle_id);
create index vehicle_state_of_setting on vehicle_state (centre_id, setting_id) where setting_id is not null;
create index vehicle_state_of_vehicle on vehicle_state (centre_id, vehicle_id, made_at) where made_by = 'round';

-- What was turned back for a state, in the units of the part; null where nobody knows how far.
create table vehicle_move (
  centre_id uuid not null,
  state_id uuid not null,
  part text not null check (length(part) between 1 and 60),
  amount numeric,
  primary key (centre_id, state_id, part),
  foreign key (centre_id, state_id) references vehicle_state
);

-- A reference fills the lines of one round; an apprentice's sheet keeps which way its vehicle faced.
alter table sitting add column reads_round integer not null default 0 check (reads_round between 0 and 9),
  add column facing text check (facing in ('farEnd', 'door'));
update sitting r set reads_round = v.round_no from vehicle_state v
where r.purpose = 'reference' and v.centre_id = r.centre_id and v.id = r.state_id;
drop index reference_of_state;
create unique index reference_of_state on sitting (centre_id, state_id, task_id, reads_round, attempt) where purpose = 'reference';

-- The history of where vehicles stood, from what tasks knew of it: states that somebody worked with, and the times at which one was put back.
with known as (
  select s.centre_id, s.vehicle_id, s.id as state_id, s.made_by as cause, s.made_by_person as made_by, s.made_at as at,
    coalesce((select b.bay from task_bay b where b.centre_id = s.centre_id and b.state_id = s.id and b.bay > 0 order by b.bay limit 1),
      (select z.bay from sitting i join sitting_state z on z.centre_id = i.centre_id and z.sitting_id = i.id
       where i.centre_id = s.centre_id and (i.id = s.sitting_id or i.state_id = s.id) and z.bay > 0 order by i.begun_at desc limit 1)) as bay
  from vehicle_state s
  where s.made_by = 'round' or exists (select from sitting i where i.centre_id = s.centre_id and i.state_id = s.id)
    or exists (select from task_bay b where b.centre_id = s.centre_id and b.state_id = s.id)
  union all
  select s.centre_id, s.vehicle_id, s.id, 'putBack', r.said_by, r.said_at, null
  from state_restoration r join vehicle_state s on s.centre_id = r.centre_id and s.id = r.state_id
), useful as (
  -- setting a task once made a state of its own: where nobody worked with it, and another state is there, it says nothing
  select k.* from known k
  where k.bay is not null or k.cause <> 'preset'
    or exists (select from sitting i where i.centre_id = k.centre_id and i.state_id = k.state_id)
    or not exists (select from known o where o.centre_id = k.centre_id and o.vehicle_id = k.vehicle_id and o.state_id <> k.state_id)
    or not exists (select from known o where o.centre_id = k.centre_id and o.vehicle_id = k.vehicle_id and (o.bay is not null
      or exists (select from sitting i where i.centre_id = o.centre_id and i.state_id = o.state_id)))
), placed as (
  select u.*, row_number() over (partition by u.centre_id, u.vehicle_id order by u.at, u.cause, u.state_id) as seq,
    (select w.bay from useful w where w.centre_id = u.centre_id and w.vehicle_id = u.vehicle_id and w.at <= u.at and w.bay is not null
     order by w.at desc limit 1) as in_bay
  from useful u
)
insert into vehicle_standing (centre_id, vehicle_id, seq, bay, facing, state_id, cause, made_by, made_at)
select p.centre_id, p.vehicle_id, p.seq, p.in_bay,
  case when p.in_bay is not null then coalesce((select s.faces from bay_survey s where s.centre_id = p.centre_id and s.bay = p.in_bay
    order by s.made_at desc, s.id desc limit 1), 'farEnd') end,
  p.state_id, p.cause, p.made_by, p.at
from placed p;

-- Two vehicles that tasks put in one bay: the one that was there last stands there.
insert into vehicle_standing (centre_id, vehicle_id, seq, state_id, cause, made_by)
select n.centre_id, n.vehicle_id, n.seq + 1, n.state_id, 'placed', n.made_by
from (select t.*, row_number() over (partition by t.centre_id, t.bay order by t.made_at desc, t.vehicle_id) as turn
      from (select distinct on (centre_id, vehicle_id) * from vehicle_standing order by centre_id, vehicle_id, seq desc) t
      where t.bay is not null) n
where n.turn > 1;

-- A task names the vehicles it is sat on now; where they stand is theirs.
create table task_vehicle (
  centre_id uuid not null,
  task_id uuid not null,
  vehicle_id uuid not null,
  sheet_id uuid not null,
  primary key (centre_id, task_id, vehicle_id),
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, vehicle_id) references vehicle,
  foreign key (centre_id, sheet_id) references sheet
);
insert into task_vehicle (centre_id, task_id, vehicle_id, sheet_id)
select distinct on (b.centre_id, b.task_id, h.vehicle_id) b.centre_id, b.task_id, h.vehicle_id, b.sheet_id
from task_bay b join sheet h on h.centre_id = b.centre_id and h.id = b.sheet_id
order by b.centre_id, b.task_id, h.vehicle_id, h.version desc;
drop table task_bay;
drop table state_restoration;
create index opening_open on opening (centre_id) where closed_at is null;
