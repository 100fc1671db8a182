-- A hand-in can be taken back for two minutes, unless an instructor has opened it meanwhile.
create table sitting_opened (
  centre_id uuid not null,
  sitting_id uuid not null,
  opened_by uuid not null,
  opened_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, opened_by) references person
);
-- what was stopped is over, and was not handed in
alter table sitting_state add column stopped boolean not null default false;
update sitting_state z set stopped = true
from (select distinct on (centre_id, sitting_id) centre_id, sitting_id, is_strike from entry
      where step = '_staff' and line = 'stopped' order by centre_id, sitting_id, seq desc) e
where e.centre_id = z.centre_id and e.sitting_id = z.sitting_id and not e.is_strike;
