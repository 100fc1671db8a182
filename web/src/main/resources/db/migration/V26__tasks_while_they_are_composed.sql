-- A task while an instructor composes it. Each press adds a state and changes none, so that it can be undone; undoing adds the
-- state from before once more, with where to go from there.
create table task_draft (
  centre_id uuid not null,
  id uuid not null,
  made_by uuid not null,
  before_id uuid,
  made_at timestamptz not null default clock_timestamp(),
  changed_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  foreign key (centre_id, made_by) references person,
  foreign key (centre_id, before_id) references task_version
);
create index task_draft_of_person on task_draft (centre_id, made_by, changed_at desc);
create index task_draft_of_task on task_draft (centre_id, before_id);

create table task_draft_state (
  centre_id uuid not null,
  draft_id uuid not null,
  number integer not null check (number > 0),
  press uuid not null,
  sheet_id uuid not null,
  class_id uuid not null,
  document text not null check (length(document) between 1 and 600000),
  undo integer,
  redo integer,
  written_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, draft_id, number),
  unique (centre_id, draft_id, press),
  foreign key (centre_id, draft_id) references task_draft on delete cascade,
  foreign key (centre_id, sheet_id) references sheet,
  foreign key (centre_id, class_id) references class_group (centre_id, id)
);
create index task_draft_state_of_sheet on task_draft_state (centre_id, sheet_id);
create index task_draft_state_of_class on task_draft_state (centre_id, class_id);
