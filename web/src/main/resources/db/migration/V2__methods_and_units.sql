-- Which methods there are is known to the core, which refuses a key it does not know; a new one needs no change here.
alter table task drop constraint task_method_check;
alter table task add constraint task_method_check check (length(method) between 1 and 40);

-- How a centre wants its lengths shown: millimetres, or inches to the nearest sixteenth or thirty-second.
alter table centre add column length_display text not null default 'mm' check (length_display in ('mm', 'in16', 'in32'));
