-- a vehicle as left that is too close to tell is read once more, with everything set up anew: the second reference of its state
drop index reference_of_state;
create unique index reference_of_state on sitting (centre_id, state_id, task_id, attempt) where purpose = 'reference';
create index reference_again on sitting (centre_id, begun_at) where purpose = 'reference' and attempt = 2;
