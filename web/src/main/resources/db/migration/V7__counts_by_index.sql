-- A task that nobody has sat yet is counted as cheaply as one with thousands of sittings: in the order of an index, so that no plan reads
-- all the states there are on the way to the few that it looks for.
drop index sitting_state_of_task;
drop index sitting_state_of_task_to_mark;
create index sitting_state_of_task on sitting_state (centre_id, task_id, sitting_id) where purpose = 'practical';
create index sitting_state_of_task_to_mark on sitting_state (centre_id, task_id, sitting_id)
  where purpose = 'practical' and handed_in_at is not null and released_at is null;
