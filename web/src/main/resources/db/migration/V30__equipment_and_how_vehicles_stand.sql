-- Equipment of a centre. What is known of a piece is a revision, added and never changed; a sitting keeps the revision it was read with.
create table equipment (
  id uuid not null,
  centre_id uuid not null references centre,
  kind text not null check (length(kind) between 1 and 40),
  name text not null check (length(name) between 1 and 60),
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  unique (centre_id, id, kind),
  unique (centre_id, kind, name)
);
-- Lengths in mm, angles in degrees; doubts are standard uncertainties. Null: as is usual for the kind.
create table equipment_revision (
  id uuid not null,
  centre_id uuid not null,
  equipment_id uuid not null,
  resolution double precision check (resolution > 0),
  offset_shown double precision not null default 0,
  offset_doubt double precision not null default 0 check (offset_doubt >= 0),
  tool_length double precision check (tool_length > 0),
  length_doubt double precision not null default 0 check (length_doubt >= 0),
  certificate text not null default '' check (length(certificate) <= 60),
  certified_on date,
  due_on date,
  in_use boolean not null default true,
  note text not null default '' check (length(note) <= 400),
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  check (due_on is null or certified_on is null or due_on >= certified_on),
  foreign key (centre_id, equipment_id) references equipment,
  foreign key (centre_id, made_by) references person
);
create index equipment_revision_of on equipment_revision (centre_id, equipment_id, made_at);
-- Checks that a workshop does by itself: two readings, in mm or degrees.
create table equipment_check (
  id uuid not null,
  centre_id uuid not null,
  equipment_id uuid not null,
  kind text not null check (kind in ('turned', 'swapped', 'standard')),
  first_reading double precision not null,
  second_reading double precision not null,
  done_on date not null,
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  foreign key (centre_id, equipment_id) references equipment,
  foreign key (centre_id, made_by) references person
);
create index equipment_check_of on equipment_check (centre_id, equipment_id, done_on);
-- What a sitting was read with; of a kind the last row holds.
create table sitting_equipment (
  centre_id uuid not null,
  sitting_id uuid not null,
  kind text not null,
  seq integer not null check (seq > 0),
  equipment_id uuid not null,
  revision_id uuid not null,
  chosen_by uuid not null,
  chosen_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id, kind, seq),
  foreign key (centre_id, sitting_id) references sitting on delete cascade,
  foreign key (centre_id, equipment_id, kind) references equipment (centre_id, id, kind),
  foreign key (centre_id, revision_id) references equipment_revision,
  foreign key (centre_id, chosen_by) references person
);
create index sitting_equipment_of_piece on sitting_equipment (centre_id, equipment_id, chosen_at);
create index sitting_equipment_of_kind on sitting_equipment (centre_id, kind, chosen_at);
-- The day sheet asks who has sat today.
create index sitting_by_day on sitting (centre_id, begun_at) where purpose = 'practical';
-- How a vehicle stands on its springs in a state: mm from the hub to the wheel arch at the front, kg carried; null where nobody said.
alter table vehicle_state drop column ride_height, drop column steering,
  add column ride_height double precision check (ride_height between 50 and 1500),
  add column load_kg double precision check (load_kg between 0 and 20000);
-- What is done with a piece past its date.
alter table centre add column past_due text not null default 'warn' check (past_due in ('warn', 'refuse'));
