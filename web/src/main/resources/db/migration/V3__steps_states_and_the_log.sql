-- A practical is a list of steps. Every key begins with the centre, except where the centre is not known yet (sign-in name, join
-- code, attempts, sessions). Entries and mark sheets are only ever added to.

-- ---- keys begin with the centre
alter table class_member drop constraint class_member_centre_id_class_id_fkey, drop constraint class_member_centre_id_person_id_fkey,
  drop constraint class_member_pkey;
alter table sheet drop constraint sheet_centre_id_vehicle_id_fkey, drop constraint sheet_vehicle_id_version_key;
alter table sheet_line drop constraint sheet_line_centre_id_sheet_id_fkey, drop constraint sheet_line_pkey;
alter table task drop constraint task_centre_id_sheet_id_fkey, drop constraint task_centre_id_class_id_fkey,
  drop constraint task_centre_id_created_by_fkey;
alter table task_criterion drop constraint task_criterion_centre_id_task_id_fkey;
alter table opening drop constraint opening_centre_id_task_id_fkey, drop constraint opening_centre_id_opened_by_fkey;
alter table sitting drop constraint sitting_centre_id_task_id_fkey, drop constraint sitting_centre_id_opening_id_fkey,
  drop constraint sitting_centre_id_person_id_fkey, drop constraint sitting_centre_id_of_sitting_id_fkey;
alter table entry drop constraint entry_centre_id_sitting_id_fkey, drop constraint entry_centre_id_person_id_fkey,
  drop constraint entry_strikes_fkey;

alter table person drop constraint person_centre_id_id_key, drop constraint person_pkey, add primary key (centre_id, id);
alter table class_group drop constraint class_group_centre_id_id_key, drop constraint class_group_pkey, add primary key (centre_id, id);
alter table vehicle drop constraint vehicle_centre_id_id_key, drop constraint vehicle_pkey, add primary key (centre_id, id);
alter table sheet drop constraint sheet_centre_id_id_key, drop constraint sheet_pkey, add primary key (centre_id, id),
  add unique (centre_id, vehicle_id, version);
alter table task drop constraint task_centre_id_id_key, drop constraint task_pkey, add primary key (centre_id, id);
alter table opening drop constraint opening_centre_id_id_key, drop constraint opening_pkey, add primary key (centre_id, id);
alter table sitting drop constraint sitting_centre_id_id_key, drop constraint sitting_pkey, add primary key (centre_id, id);
alter table class_member add primary key (centre_id, class_id, person_id),
  add foreign key (centre_id, class_id) references class_group, add foreign key (centre_id, person_id) references person;
alter table sheet add foreign key (centre_id, vehicle_id) references vehicle;

-- ---- vehicles and sheets: what is unknown is null, a limit may have one side or none
alter table vehicle add column driver_side text not null default 'right' check (driver_side in ('left', 'right'));
alter table sheet alter column rod_pitch drop not null, alter column arm_length drop not null,
  alter column steering_ratio drop not null, alter column double_thread drop not null;
alter table sheet_line drop constraint sheet_line_quantity_check, drop constraint sheet_line_axle_check;
alter table sheet_line rename column quantity to measurand;
alter table sheet_line
  alter column min drop not null, alter column preferred drop not null, alter column max drop not null,
  alter column axle set default '',
  add check (axle in ('', 'front', 'rear')),
  add column adjustable text not null default 'no' check (adjustable in ('yes', 'no', 'addedParts')),
  add primary key (centre_id, sheet_id, axle, measurand),
  add foreign key (centre_id, sheet_id) references sheet;
update sheet_line set adjustable = 'yes' where adjustable_by is not null;

-- rims and tyres of a wheel, where they are not all alike
create table sheet_wheel (
  centre_id uuid not null,
  sheet_id uuid not null,
  wheel text not null check (wheel in ('fl', 'fr', 'rl', 'rr')),
  rim_diameter numeric,
  tyre_radius numeric,
  primary key (centre_id, sheet_id, wheel),
  foreign key (centre_id, sheet_id) references sheet
);

-- a part that moves figures; where_key as in figures: front.left, front, or empty for the vehicle
create table adjuster (
  centre_id uuid not null,
  sheet_id uuid not null,
  part text not null check (length(part) between 1 and 40),
  where_key text not null check (where_key in ('', 'front', 'rear', 'front.left', 'front.right', 'rear.left', 'rear.right')),
  ordinal integer not null,
  unit text not null check (length(unit) between 1 and 40),
  most numeric not null check (most > 0),
  smallest_step numeric not null check (smallest_step > 0),
  reread_after boolean not null default true,
  fastener text,
  primary key (centre_id, sheet_id, part, where_key),
  foreign key (centre_id, sheet_id) references sheet
);
-- what one unit the positive way does to a figure, deg or mm; per_unit is null where only the way is known. A rod's is computed.
create table adjuster_effect (
  centre_id uuid not null,
  sheet_id uuid not null,
  part text not null,
  where_key text not null,
  figure text not null check (length(figure) between 1 and 60),
  sign smallint not null check (sign in (-1, 1)),
  per_unit numeric,
  doubt numeric,
  primary key (centre_id, sheet_id, part, where_key, figure),
  foreign key (centre_id, sheet_id, part, where_key) references adjuster
);
-- torque in N·m, with one side or none
create table fastener (
  centre_id uuid not null,
  sheet_id uuid not null,
  key text not null check (length(key) between 1 and 40),
  thread text,
  least_torque numeric,
  most_torque numeric,
  angle numeric,
  single_use boolean not null default false,
  primary key (centre_id, sheet_id, key),
  foreign key (centre_id, sheet_id) references sheet
);
insert into adjuster (centre_id, sheet_id, part, where_key, ordinal, unit, most, smallest_step)
select distinct l.centre_id, l.sheet_id, 'rod', w.where_key, w.ordinal, 'turn', 20, 0.125
from sheet_line l cross join (values ('front.left', 1), ('front.right', 2)) w (where_key, ordinal)
where l.adjustable_by = 'trackRods' and l.axle = 'front';
-- other parts were named without what they do: part and way can be planned, the amount can not
insert into adjuster (centre_id, sheet_id, part, where_key, ordinal, unit, most, smallest_step)
select distinct l.centre_id, l.sheet_id, p.part, l.axle || '.' || s.side, p.ordinal + s.ordinal, p.unit, 20, 0.5
from sheet_line l
join (values ('topMountSlot', 'topSlot', 'millimetre', 10), ('lowerCams', 'cam', 'camMark', 20)) p (named, part, unit, ordinal)
  on p.named = l.adjustable_by
cross join (values ('left', 1), ('right', 2)) s (side, ordinal);
insert into adjuster_effect (centre_id, sheet_id, part, where_key, figure, sign)
select l.centre_id, l.sheet_id, a.part, a.where_key, l.measurand || '.' || a.where_key, 1
from sheet_line l
join adjuster a on a.centre_id = l.centre_id and a.sheet_id = l.sheet_id and a.where_key like l.axle || '.%'
join (values ('topMountSlot', 'topSlot'), ('lowerCams', 'cam')) p (named, part) on p.part = a.part and p.named = l.adjustable_by;
alter table sheet_line drop column adjustable_by;

-- ---- bays, with their floors as surveyed, deg
create table bay (
  centre_id uuid not null references centre,
  number integer not null check (number between 1 and 99),
  pitch numeric,
  roll numeric,
  doubt numeric,
  surveyed_at timestamptz,
  primary key (centre_id, number)
);

-- ---- practicals: a document, and beside it what queries need
alter table task rename to task_version;
alter table task_version rename constraint task_pkey to task_version_pkey;
alter table task_version add column document jsonb, add column document_version integer,
  add foreign key (centre_id, class_id) references class_group, add foreign key (centre_id, created_by) references person;
create table task_sheet (
  centre_id uuid not null,
  task_id uuid not null,
  sheet_id uuid not null,
  ordinal integer not null,
  primary key (centre_id, task_id, sheet_id),
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, sheet_id) references sheet
);
insert into task_sheet select centre_id, id, sheet_id, 1 from task_version;
create table task_figure (
  centre_id uuid not null,
  task_id uuid not null,
  figure text not null check (length(figure) between 1 and 60),
  step text not null,
  primary key (centre_id, task_id, figure, step),
  foreign key (centre_id, task_id) references task_version
);

-- ---- states of a vehicle between two adjustments
create table vehicle_state (
  id uuid not null,
  centre_id uuid not null,
  vehicle_id uuid not null,
  made_by text not null check (made_by in ('preset', 'round', 'putBack')),
  prior_id uuid,
  sitting_id uuid,
  round_no integer not null default 0 check (round_no between 0 and 9),
  steering text,
  ride_height text,
  note text check (length(note) <= 400),
  made_by_person uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  check ((made_by = 'round') = (sitting_id is not null)),
  foreign key (centre_id, vehicle_id) references vehicle,
  foreign key (centre_id, prior_id) references vehicle_state,
  foreign key (centre_id, made_by_person) references person,
  foreign key (centre_id, sitting_id) references sitting
);
create unique index vehicle_state_of_round on vehicle_state (centre_id, sitting_id, round_no) where made_by = 'round';

-- the vehicles a practical is sat on now: bay 0 where nobody names bays
create table task_bay (
  centre_id uuid not null,
  task_id uuid not null,
  bay integer not null check (bay between 0 and 99),
  sheet_id uuid not null,
  state_id uuid not null,
  primary key (centre_id, task_id, bay),
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, sheet_id) references sheet,
  foreign key (centre_id, state_id) references vehicle_state
);
insert into vehicle_state (id, centre_id, vehicle_id, made_by, made_by_person, made_at)
select gen_random_uuid(), t.centre_id, h.vehicle_id, 'preset', t.created_by, t.created_at
from task_version t join sheet h on h.centre_id = t.centre_id and h.id = t.sheet_id;
insert into task_bay (centre_id, task_id, bay, sheet_id, state_id)
select t.centre_id, t.id, 0, t.sheet_id, s.id
from (select *, row_number() over (partition by centre_id, created_by, created_at, sheet_id order by id) as turn from task_version) t
join sheet h on h.centre_id = t.centre_id and h.id = t.sheet_id
join (select *, row_number() over (partition by centre_id, vehicle_id, made_by_person, made_at order by id) as turn
      from vehicle_state) s
  on s.centre_id = t.centre_id and s.vehicle_id = h.vehicle_id and s.made_by_person = t.created_by and s.made_at = t.created_at
  and s.turn = t.turn;

alter table opening add foreign key (centre_id, task_id) references task_version, add foreign key (centre_id, opened_by) references person;

-- ---- sittings: pinned to a sheet and a state; several attempts, several people
alter table sitting add column sheet_id uuid, add column state_id uuid, add column attempt integer not null default 1 check (attempt between 1 and 99);
update sitting s set sheet_id = b.sheet_id, state_id = b.state_id
from task_bay b where b.centre_id = s.centre_id and b.task_id = s.task_id;
insert into vehicle_state (id, centre_id, vehicle_id, made_by, prior_id, sitting_id, round_no, made_by_person, made_at)
select gen_random_uuid(), s.centre_id, h.vehicle_id, 'round', s.state_id, s.id, 1, s.person_id, s.begun_at
from sitting s join sheet h on h.centre_id = s.centre_id and h.id = s.sheet_id
where s.purpose = 'practical';
drop index sitting_once;
drop index reference_as_found_once;
drop index reference_as_left_once;
alter table sitting drop constraint sitting_purpose_check, drop constraint sitting_check, drop constraint sitting_check1;
update sitting r set state_id = v.id
from vehicle_state v where r.purpose = 'referenceAsLeft' and v.centre_id = r.centre_id and v.sitting_id = r.of_sitting_id;
update sitting set purpose = 'reference' where purpose like 'reference%';
alter table sitting
  drop column of_sitting_id, drop column last_seq,
  alter column sheet_id set not null, alter column state_id set not null,
  add check (purpose in ('practical', 'reference')),
  add check ((purpose = 'practical') = (opening_id is not null)),
  add foreign key (centre_id, task_id) references task_version,
  add foreign key (centre_id, opening_id) references opening,
  add foreign key (centre_id, person_id) references person,
  add foreign key (centre_id, sheet_id) references sheet,
  add foreign key (centre_id, state_id) references vehicle_state;
create unique index sitting_attempt on sitting (centre_id, opening_id, person_id, attempt) where purpose = 'practical';
create unique index reference_of_state on sitting (centre_id, state_id, task_id) where purpose = 'reference';
create table sitting_person (
  centre_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  primary key (centre_id, sitting_id, person_id),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, person_id) references person
);
create index sitting_person_by_person on sitting_person (centre_id, person_id, sitting_id);
insert into sitting_person select centre_id, id, person_id from sitting;

-- ---- the log. A key is made on the device that wrote; saw names the keys the writer saw standing.
create table entry_after (
  centre_id uuid not null,
  sitting_id uuid not null,
  seq integer not null check (seq > 0),
  key text not null check (key ~ '^[A-Za-z0-9-]{8,80}$'),
  step text not null check (length(step) between 1 and 40),
  line text not null check (length(line) between 1 and 60),
  repeat_no integer not null default 0 check (repeat_no between 0 and 10),
  round_no integer not null default 0 check (round_no between 0 and 9),
  written text not null check (length(written) <= 500),
  value numeric,
  resolution numeric,
  unit text,
  is_strike boolean not null default false,
  saw text[] not null default '{}' check (cardinality(saw) <= 8),
  late boolean not null default false,
  person_id uuid not null,
  role text not null check (role in ('INSTRUCTOR', 'APPRENTICE', 'VERIFIER', 'OFFICE')),
  device text not null check (length(device) between 1 and 40),
  device_seq bigint not null default 0,
  written_at timestamptz not null,
  clock_offset_ms bigint not null default 0,
  received_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id, seq),
  unique (centre_id, sitting_id, key),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, person_id) references person
);
-- a direct cast of a double keeps 15 digits; by way of text none is lost
insert into entry_after (centre_id, sitting_id, seq, key, step, line, repeat_no, round_no, written, value, resolution, is_strike, saw,
  person_id, role, device, device_seq, written_at, received_at)
select e.centre_id, e.sitting_id, e.seq, e.idempotency_key,
  case e.stage when 'flag' then '_staff' when 'mark' then '_mark' else e.stage end,
  case
    when e.stage in ('work', 'judge') then
      case e.place when 'total' then 'totalToe.front' when 'left' then 'toe.front.left' when 'right' then 'toe.front.right'
        when 'adjustable' then 'adjustable.toe.front' else e.place end
    when e.stage = 'plan' then
      case e.place when 'left.way' then 'rod.front.left.way' when 'left.turns' then 'rod.front.left.amount'
        when 'right.way' then 'rod.front.right.way' when 'right.turns' then 'rod.front.right.amount' else e.place end
    when e.stage = 'mark' then
      case e.place when 'criticalSteps' then 'prepare.critical' when 'preparation' then 'prepare.done' when 'reading' then 'asFound.reading'
        when 'repeatability' then 'asFound.repeatability' when 'working' then 'work.working' when 'verdict' then 'judge.verdict'
        when 'plan' then 'plan.plan' when 'asLeft' then 'adjust.asLeft' else e.place end
    else e.place end,
  e.repeat_no, case e.stage when 'asLeft' then 1 else 0 end, e.written, e.value::text::numeric, e.step::text::numeric, e.is_strike,
  case when s.idempotency_key is null then '{}' else array[s.idempotency_key] end,
  e.person_id, p.role, e.device, e.seq, e.at, e.at
from entry e
join person p on p.centre_id = e.centre_id and p.id = e.person_id
left join entry s on s.id = e.strikes;
drop table entry;
alter table entry_after rename to entry;
alter table entry rename constraint entry_after_pkey to entry_pkey;

-- what is known of a sitting from its entries: written with each of them, made anew by rebuild
create table sitting_state (
  centre_id uuid not null,
  sitting_id uuid not null,
  purpose text not null,
  last_seq integer not null default 0,
  apprentice_entries integer not null default 0,
  staff_entries integer not null default 0,
  last_step text,
  last_round integer not null default 0,
  last_at timestamptz,
  flagged boolean not null default false,
  handed_in_at timestamptz,
  late_waiting integer not null default 0,
  extra_minutes integer not null default 0,
  bay integer,
  signed boolean not null default false,
  released_at timestamptz,
  primary key (centre_id, sitting_id),
  foreign key (centre_id, sitting_id) references sitting
);
create index sitting_state_to_mark on sitting_state (centre_id, handed_in_at desc, sitting_id desc)
  where purpose = 'practical' and handed_in_at is not null and released_at is null;
create index sitting_state_released on sitting_state (centre_id, released_at desc, sitting_id desc)
  where purpose = 'practical' and released_at is not null;
create index sitting_state_open on sitting_state (centre_id, last_at desc) where purpose = 'practical' and handed_in_at is null;
insert into sitting_state (centre_id, sitting_id, purpose, last_seq, apprentice_entries, staff_entries, last_step, last_round, last_at,
  flagged, handed_in_at, bay, signed, released_at)
select s.centre_id, s.id, s.purpose, coalesce(e.last_seq, 0), coalesce(e.apprentice, 0), coalesce(e.staff, 0), e.last_step,
  coalesce(e.last_round, 0), e.last_at, coalesce(e.flagged, false), e.handed_in_at, s.bay, coalesce(e.signed, false), e.released_at
from sitting s
left join lateral (
  select max(seq) as last_seq,
    count(*) filter (where role = 'APPRENTICE') as apprentice, count(*) filter (where role <> 'APPRENTICE') as staff,
    (array_agg(step order by seq desc) filter (where step not like '\_%'))[1] as last_step,
    (array_agg(round_no order by seq desc) filter (where step not like '\_%'))[1] as last_round,
    max(received_at) as last_at,
    (array_agg(written order by seq desc) filter (where step = '_staff'))[1] = 'raised' as flagged,
    min(received_at) filter (where step = 'handIn') as handed_in_at,
    bool_or(step = '_mark' and line = 'sign') as signed,
    min(received_at) filter (where step = '_mark' and line = 'release') as released_at
  from entry where centre_id = s.centre_id and sitting_id = s.id) e on true;
alter table sitting drop column bay;
drop index sitting_by_person;
drop index sitting_by_task;
create index sitting_by_task on sitting (centre_id, task_id, begun_at);
create index sitting_by_state on sitting (centre_id, state_id);

-- ---- marks: a mark sheet is stored when it is signed, and again when it is marked anew; what was released is a stored fact
create table mark_sheet (
  centre_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  number integer not null check (number > 0),
  engine text not null,
  entry_seq integer not null,
  reference_seqs jsonb not null,
  total numeric not null,
  available integer not null,
  percent numeric not null,
  competent boolean not null,
  complete boolean not null,
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id, person_id, number),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, person_id) references person,
  foreign key (centre_id, made_by) references person
);
create table mark_line (
  centre_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  number integer not null,
  ordinal integer not null,
  step text not null,
  aspect text not null,
  available integer not null,
  must_pass boolean not null,
  credit numeric not null,
  computed numeric not null,
  given numeric,
  reason text,
  evidence_version integer not null,
  evidence jsonb not null,
  primary key (centre_id, sitting_id, person_id, number, ordinal),
  foreign key (centre_id, sitting_id, person_id, number) references mark_sheet
);
create index entry_by_line on entry (centre_id, sitting_id, step, line);
