-- A vehicle that a round has moved is not as its state says, until the instructor has said so: put back as it was.
create table state_put_back (
  centre_id uuid not null,
  state_id uuid not null,
  said_at timestamptz not null default clock_timestamp(),
  said_by uuid not null,
  primary key (centre_id, state_id, said_at),
  foreign key (centre_id, state_id) references vehicle_state,
  foreign key (centre_id, said_by) references person
);
create index vehicle_state_after_prior on vehicle_state (centre_id, prior_id, made_at) where made_by = 'round';
-- what was moved before anyone was asked is as good as put back: who sat there went on
insert into state_put_back (centre_id, state_id, said_by)
select distinct on (r.centre_id, r.prior_id) r.centre_id, r.prior_id, r.made_by_person
from vehicle_state r where r.made_by = 'round' and r.round_no = 1 and r.prior_id is not null;

-- The instructor lets somebody back in by the code who has joined already: a dead tablet, or a sheet that was given its right name.
create table sitting_welcome (
  centre_id uuid not null,
  sitting_id uuid not null,
  given_by uuid not null,
  given_at timestamptz not null default clock_timestamp(),
  primary key (centre_id, sitting_id),
  foreign key (centre_id, sitting_id) references sitting,
  foreign key (centre_id, given_by) references person
);
