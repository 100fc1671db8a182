-- ---- versions of one practical, the newest of which is set; earlier ones keep their sittings
alter table task_version add column series_id uuid, add column version integer not null default 1 check (version > 0);
update task_version set series_id = id;
alter table task_version alter column series_id set not null;
create unique index task_version_of_series on task_version (centre_id, series_id, version);
create table task_retired (
  centre_id uuid not null,
  series_id uuid not null,
  retired_by uuid not null,
  retired_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, series_id),
  foreign key (centre_id, retired_by) references person
);

-- ---- by what a sitting is marked, where that is not what it was sat under
create table sitting_marked_by (
  centre_id uuid not null,
  sitting_id uuid not null,
  task_id uuid not null,
  sheet_id uuid not null,
  primary key (centre_id, sitting_id),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, sheet_id) references sheet
);

-- ---- marking anew: what would come out is laid down beside the marks, and put among them in one go or not at all
create table remark (
  id uuid not null,
  centre_id uuid not null,
  task_id uuid not null,
  sheet_id uuid,
  reason text not null check (length(reason) between 1 and 400),
  state text not null default 'working' check (state in ('working', 'ready', 'applying', 'applied', 'cancelled', 'failed')),
  total integer not null default 0,
  done integer not null default 0,
  changed integer not null default 0,
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  beat_at timestamptz not null default clock_timestamp(),
  applied_at timestamptz,
  primary key (centre_id, id),
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, sheet_id) references sheet,
  foreign key (centre_id, made_by) references person
);
create index remark_of_task on remark (centre_id, task_id, made_at desc);
create table remark_sheet (
  centre_id uuid not null,
  remark_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  old_number integer not null,
  engine text not null,
  entry_seq integer not null,
  reference_seqs jsonb not null,
  total numeric not null,
  available integer not null,
  percent numeric not null,
  competent boolean not null,
  complete boolean not null,
  old_total numeric not null,
  old_percent numeric not null,
  old_competent boolean not null,
  changed boolean not null,
  primary key (centre_id, remark_id, sitting_id, person_id)
);
create index remark_sheet_changed on remark_sheet (centre_id, remark_id, sitting_id) where changed;
create table remark_line (
  centre_id uuid not null,
  remark_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
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
  primary key (centre_id, remark_id, sitting_id, person_id, ordinal)
);
alter table mark_sheet add column remark_id uuid, add foreign key (centre_id, remark_id) references remark;

-- ---- moderation: a sample that anyone can draw again, and what was decided of it
create table moderation (
  id uuid not null,
  centre_id uuid not null,
  task_id uuid not null,
  seed bigint not null,
  percent integer not null check (percent between 0 and 100),
  borderline numeric not null check (borderline between 0 and 50),
  made_by uuid not null,
  made_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, made_by) references person
);
create index moderation_by_time on moderation (centre_id, made_at desc);
create table moderation_sheet (
  centre_id uuid not null,
  moderation_id uuid not null,
  ordinal integer not null,
  sitting_id uuid not null,
  person_id uuid not null,
  number integer not null,
  why text not null check (why in ('drawn', 'borderline', 'override')),
  primary key (centre_id, moderation_id, ordinal),
  unique (centre_id, moderation_id, sitting_id, person_id),
  foreign key (centre_id, moderation_id) references moderation,
  foreign key (centre_id, sitting_id, person_id, number) references mark_sheet
);
create table moderation_decision (
  centre_id uuid not null,
  moderation_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  decision text not null check (decision in ('agree', 'return')),
  reason text not null check (length(reason) <= 400),
  decided_by uuid not null,
  decided_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, moderation_id, sitting_id, person_id),
  foreign key (centre_id, moderation_id, sitting_id, person_id) references moderation_sheet (centre_id, moderation_id, sitting_id, person_id),
  foreign key (centre_id, decided_by) references person
);

-- ---- after release: the same question once more with other numbers; one try, which is kept and not marked
create table second_try (
  centre_id uuid not null,
  sitting_id uuid not null,
  person_id uuid not null,
  figure text not null check (length(figure) between 1 and 60),
  written text not null check (length(written) <= 500),
  value numeric,
  honest numeric not null,
  is_right boolean not null,
  tried_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id, person_id, figure),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, person_id) references person
);
