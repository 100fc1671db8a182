-- Tries that have not succeeded, by what is tried, for whom and from where; an empty account or address stands for any. Counted by the
-- statement that lets a try go on, so that tries at the same instant, on several instances, can't pass one limit together.
create table attempt_count (
  kind text not null check (kind in ('signIn', 'join')),
  account text not null check (length(account) <= 80),
  address text not null check (length(address) <= 64),
  since timestamptz not null default now(),
  tries integer not null default 1,
  primary key (kind, account, address)
);
create index attempt_count_by_age on attempt_count (since);
drop table sign_in_attempt;
