-- A session carries the stamp its person had when it began. What ends his sessions (a new password, another role, a deactivation) counts
-- the stamp on and says when; a one-time password opens nothing but the page on which a new one is chosen.
alter table person
  add column stamp integer not null default 1,
  add column ended_at timestamptz,
  add column one_time boolean not null default false,
  add column password_until timestamptz;

-- sessions from before hold more than is kept now, a password's hash among it
delete from spring_session;

-- the code printed on the console of an empty installation, until its first instructor is made
create table set_up (
  only_one boolean primary key default true check (only_one),
  code text not null
);
