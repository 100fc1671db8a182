-- Every row belongs to a centre (college), and every query names it.

create table centre (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  zone text not null,
  created_at timestamptz not null default now()
);

create table person (
  id uuid primary key,
  centre_id uuid not null references centre,
  role text not null check (role in ('INSTRUCTOR', 'APPRENTICE', 'VERIFIER', 'OFFICE')),
  display_name text not null check (length(display_name) between 1 and 120),
  sign_in text not null check (length(sign_in) between 3 and 80),
  password_hash text not null,
  active boolean not null default true,
  created_at timestamptz not null default now(),
  unique (centre_id, id)
);
create unique index person_sign_in on person (lower(sign_in));
create index person_by_name on person (centre_id, role, display_name);

create table class_group (
  id uuid primary key,
  centre_id uuid not null references centre,
  name text not null check (length(name) between 1 and 80),
  unique (centre_id, name),
  unique (centre_id, id)
);

create table class_member (
  centre_id uuid not null,
  class_id uuid not null,
  person_id uuid not null,
  primary key (class_id, person_id),
  foreign key (centre_id, class_id) references class_group (centre_id, id),
  foreign key (centre_id, person_id) references person (centre_id, id)
);
create index class_member_by_person on class_member (centre_id, person_id);

-- failed and successful attempts to sign in or to join; old rows are deleted as new ones come
create table sign_in_attempt (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  account text not null,
  address text not null,
  succeeded boolean not null
);
create index sign_in_attempt_by_account on sign_in_attempt (account, at);
create index sign_in_attempt_by_address on sign_in_attempt (address, at);
create index sign_in_attempt_by_age on sign_in_attempt (at);

create table vehicle (
  id uuid primary key,
  centre_id uuid not null references centre,
  make text not null,
  model text not null,
  body text not null,
  registration text not null,
  driven_axle text not null check (driven_axle in ('front', 'rear')),
  unique (centre_id, registration),
  unique (centre_id, id)
);

-- a sheet is a version; it is never changed once written. Millimetres and degrees, as printed.
create table sheet (
  id uuid primary key,
  centre_id uuid not null,
  vehicle_id uuid not null,
  version integer not null check (version > 0),
  wheelbase double precision not null,
  front_track double precision not null,
  rear_track double precision not null,
  rim_diameter double precision not null,
  tyre_radius double precision not null,
  linkage text not null check (linkage in ('behind', 'ahead')),
  rod_pitch double precision not null,
  double_thread boolean not null,
  arm_length double precision not null,
  steering_ratio double precision not null,
  created_at timestamptz not null default now(),
  unique (vehicle_id, version),
  unique (centre_id, id),
  foreign key (centre_id, vehicle_id) references vehicle (centre_id, id)
);

create table sheet_line (
  centre_id uuid not null,
  sheet_id uuid not null,
  axle text not null check (axle in ('front', 'rear')),
  quantity text not null check (quantity in ('caster', 'camber', 'kpi', 'toe', 'totalToe')),
  min double precision not null,
  preferred double precision not null,
  max double precision not null,
  side_difference double precision,
  adjustable_by text,
  primary key (sheet_id, axle, quantity),
  foreign key (centre_id, sheet_id) references sheet (centre_id, id)
);

create table task (
  id uuid primary key,
  centre_id uuid not null,
  sheet_id uuid not null,
  class_id uuid not null,
  title text not null check (length(title) between 1 and 120),
  asked text not null check (asked in ('total', 'totalAndEach')),
  method text not null check (method in ('plates', 'strings')),
  repeats integer not null check (repeats between 1 and 5),
  answer_unit text not null check (answer_unit in ('deg', 'degMin', 'mm')),
  decision_rule text not null check (decision_rule in ('simple', 'guarded')),
  mode text not null check (mode in ('practice', 'assessment')),
  outcome text not null check (outcome in ('competence', 'graded')),
  reading_full double precision not null,
  reading_none double precision not null,
  repeatability_full double precision not null,
  repeatability_none double precision not null,
  slip_keeps_percent integer not null check (slip_keeps_percent between 0 and 100),
  created_by uuid not null,
  created_at timestamptz not null default now(),
  unique (centre_id, id),
  foreign key (centre_id, sheet_id) references sheet (centre_id, id),
  foreign key (centre_id, class_id) references class_group (centre_id, id),
  foreign key (centre_id, created_by) references person (centre_id, id)
);
create index task_by_time on task (centre_id, created_at desc);

create table task_criterion (
  centre_id uuid not null,
  task_id uuid not null,
  criterion text not null,
  marks integer not null check (marks between 0 and 100),
  must_pass boolean not null,
  primary key (task_id, criterion),
  foreign key (centre_id, task_id) references task (centre_id, id)
);

-- a task opened to its class; the code on the instructor's screen lets apprentices in until it is closed
create table opening (
  id uuid primary key,
  centre_id uuid not null,
  task_id uuid not null,
  code text not null check (code ~ '^[A-Z2-9]{6}$'),
  opened_by uuid not null,
  opened_at timestamptz not null default now(),
  closes_at timestamptz not null,
  closed_at timestamptz,
  unique (centre_id, id),
  foreign key (centre_id, task_id) references task (centre_id, id),
  foreign key (centre_id, opened_by) references person (centre_id, id)
);
create unique index opening_by_code on opening (code) where closed_at is null;
create index opening_by_task on opening (centre_id, task_id, opened_at desc);

-- one person's run at a task, or the instructor's own readings of the same vehicle
create table sitting (
  id uuid primary key,
  centre_id uuid not null,
  task_id uuid not null,
  opening_id uuid,
  person_id uuid not null,
  purpose text not null check (purpose in ('practical', 'referenceAsFound', 'referenceAsLeft')),
  of_sitting_id uuid,
  bay integer check (bay between 1 and 99),
  begun_at timestamptz not null default now(),
  last_seq integer not null default 0,
  unique (centre_id, id),
  check ((purpose = 'practical') = (opening_id is not null)),
  check ((purpose = 'referenceAsLeft') = (of_sitting_id is not null)),
  foreign key (centre_id, task_id) references task (centre_id, id),
  foreign key (centre_id, opening_id) references opening (centre_id, id),
  foreign key (centre_id, person_id) references person (centre_id, id),
  foreign key (centre_id, of_sitting_id) references sitting (centre_id, id)
);
create unique index sitting_once on sitting (opening_id, person_id) where purpose = 'practical';
create unique index reference_as_found_once on sitting (task_id) where purpose = 'referenceAsFound';
create unique index reference_as_left_once on sitting (of_sitting_id) where purpose = 'referenceAsLeft';
create index sitting_by_person on sitting (centre_id, person_id, begun_at desc);
create index sitting_by_task on sitting (centre_id, task_id, begun_at);

-- what was written, in order; nothing is changed or deleted. A later entry may strike an earlier one out.
create table entry (
  id uuid primary key,
  centre_id uuid not null,
  sitting_id uuid not null,
  seq integer not null,
  stage text not null,
  place text not null,
  repeat_no integer not null default 0 check (repeat_no between 0 and 5),
  written text not null check (length(written) <= 500),
  value double precision,
  step double precision,
  strikes uuid unique references entry,
  is_strike boolean not null default false,
  person_id uuid not null,
  device text not null check (length(device) between 1 and 40),
  idempotency_key text not null check (length(idempotency_key) between 8 and 80),
  at timestamptz not null default now(),
  unique (sitting_id, seq),
  unique (sitting_id, idempotency_key),
  foreign key (centre_id, sitting_id) references sitting (centre_id, id),
  foreign key (centre_id, person_id) references person (centre_id, id)
);

-- Spring Session's own tables
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
