-- the browser that took a name by code: where the answer got lost on its way, the same browser gets it once more
create table sitting_joined (
  centre_id uuid not null,
  sitting_id uuid not null,
  browser text not null check (length(browser) = 64),
  joined_at timestamptz not null default now(),
  primary key (centre_id, sitting_id),
  foreign key (centre_id, sitting_id) references sitting (centre_id, id)
);
