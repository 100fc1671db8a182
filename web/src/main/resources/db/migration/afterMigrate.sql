-- What the application's role may do. The log and the mark sheets are added to and read, and nothing else.
grant usage on schema ${flyway:defaultSchema} to ${application};
grant select, insert, update, delete on all tables in schema ${flyway:defaultSchema} to ${application};
grant usage on all sequences in schema ${flyway:defaultSchema} to ${application};
revoke update, delete, truncate on entry, mark_sheet, mark_line, task_version, task_sheet, task_figure, vehicle_state,
  moderation, moderation_sheet, moderation_decision, second_try, erasure, bay_survey, vehicle_standing, vehicle_move, equipment, equipment_revision, equipment_check, sitting_equipment, sheet, sheet_line, sheet_wheel, adjuster, adjuster_effect, fastener from ${application};
revoke all on function erase_person(uuid, uuid, uuid, text) from public;
grant execute on function erase_person(uuid, uuid, uuid, text) to ${application};
revoke all on flyway_schema_history from ${application};
-- The owner keeps what is his: a start with one role for both, refused by now, once took it from him.
grant all on all tables in schema ${flyway:defaultSchema} to current_user;
