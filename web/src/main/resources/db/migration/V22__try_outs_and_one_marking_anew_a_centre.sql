-- A try-out is begun by a press, goes on beside everything else, and can be left and come back to. One is at work in a centre at a time;
-- the others wait for it in the order in which they were begun.
create table try_out (
  centre_id uuid not null,
  id uuid not null,
  made_by uuid not null,
  task_id uuid,
  sheet_id uuid not null,
  title text not null check (length(title) between 1 and 200),
  document text not null,
  state text not null default 'waiting' check (state in ('waiting', 'working', 'ready', 'failed')),
  done integer not null default 0 check (done >= 0),
  total integer not null check (total > 0),
  result jsonb,
  made_at timestamptz not null default clock_timestamp(),
  beat_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, id),
  foreign key (centre_id, made_by) references person,
  foreign key (centre_id, task_id) references task_version,
  foreign key (centre_id, sheet_id) references sheet,
  check ((state = 'ready') = (result is not null))
);
create unique index try_out_at_work on try_out (centre_id) where state = 'working';
create index try_out_of_person on try_out (centre_id, made_by, made_at desc);
create index try_out_of_task on try_out (centre_id, task_id, made_at desc);
create index try_out_in_turn on try_out (centre_id, state, made_at);

-- The same for marking anew: one of a centre is worked out at a time.
update remark k set state = 'cancelled'
where state = 'working'
  and exists (select from remark o where o.centre_id = k.centre_id and o.state = 'working' and (o.made_at, o.id) > (k.made_at, k.id));
drop index remark_at_work;
create unique index remark_at_work on remark (centre_id) where state = 'working';
