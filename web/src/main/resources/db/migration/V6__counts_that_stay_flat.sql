-- A list of tasks counts its sittings in sitting_state alone, and never more of them than it shows a figure for.
alter table sitting_state add column task_id uuid;
update sitting_state z set task_id = i.task_id from sitting i where i.centre_id = z.centre_id and i.id = z.sitting_id;
alter table sitting_state alter column task_id set not null;
create index sitting_state_of_task on sitting_state (centre_id, task_id) where purpose = 'practical';
create index sitting_state_of_task_to_mark on sitting_state (centre_id, task_id)
  where purpose = 'practical' and handed_in_at is not null and released_at is null;
