-- A sheet is written by somebody for a reason, its figures as the maker prints them, its wheels by axle.
alter table sheet
  add column written_by uuid,
  add column reason text not null default '' check (length(reason) <= 200),
  add foreign key (centre_id, written_by) references person;

-- min, preferred and max stay what is worked with; typed holds the cells as they were written, empty where nobody typed them
alter table sheet_line
  add column intended_difference double precision not null default 0,
  add column typed jsonb not null default '{}' check (jsonb_typeof(typed) = 'object');

insert into sheet_wheel (centre_id, sheet_id, wheel, rim_diameter, tyre_radius)
select s.centre_id, s.id, w.wheel, s.rim_diameter, s.tyre_radius
from sheet s cross join (values ('fl'), ('fr'), ('rl'), ('rr')) w (wheel)
on conflict do nothing;
alter table sheet_wheel alter column rim_diameter set not null, alter column tyre_radius set not null;
alter table sheet drop column rim_diameter, drop column tyre_radius;

alter table fastener rename column key to name;
alter table fastener
  drop constraint fastener_key_check,
  add check (length(name) between 1 and 80),
  add column ordinal integer not null default 0,
  add check (least_torque <= most_torque);
alter table adjuster add foreign key (centre_id, sheet_id, fastener) references fastener;
