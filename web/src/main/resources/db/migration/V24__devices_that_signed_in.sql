-- The browsers from which a person has signed in: there the door stays open for the right password, whatever others guess elsewhere. A
-- browser is known by the hash of its cookie, and only as long as the person's password and role are the same.
create table known_device (
  centre_id uuid not null,
  person_id uuid not null,
  device text not null check (length(device) = 64),
  stamp integer not null,
  used_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, person_id, device),
  foreign key (centre_id, person_id) references person
);
