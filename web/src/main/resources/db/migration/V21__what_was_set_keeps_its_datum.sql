-- Front toe counts from the thrust line now where the rear cannot be adjusted, if a task does not say otherwise. Tasks that were set
-- before were sat by the centreline: they say so from here on, and marking them anew changes nothing of it.
update task_version set document = document || '{"frontsTo": "centreline"}' where document is not null and not document ? 'frontsTo';
