-- A sheet's limits can hold at one ride height or load alone, and a rod can be lengthened only as far as its thread holds.
alter table sheet add column ride_height double precision check (ride_height between 50 and 1500);
alter table sheet add column load_kg double precision check (load_kg between 0 and 20000);
alter table adjuster add column spare numeric check (spare >= 0);
-- Where a sheet was before it went on at another vehicle: what it has up to an entry was read there.
create table sitting_earlier (
  centre_id uuid not null,
  sitting_id uuid not null,
  seq integer not null check (seq > 0),
  state_id uuid not null,
  sheet_id uuid not null,
  bay integer,
  bay_since timestamptz,
  facing text,
  primary key (centre_id, sitting_id, seq),
  foreign key (centre_id, sitting_id) references sitting on delete cascade,
  foreign key (centre_id, state_id) references vehicle_state,
  foreign key (centre_id, sheet_id) references sheet
);
create index sitting_earlier_of_state on sitting_earlier (centre_id, state_id);
-- A pair of battens is compared with one another.
alter table equipment_check drop constraint equipment_check_kind_check,
  add constraint equipment_check_kind_check check (kind in ('turned', 'swapped', 'standard', 'compared'));
