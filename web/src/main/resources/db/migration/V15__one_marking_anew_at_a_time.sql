-- Somebody presses twice, or two people at once: the second is led to what is at work already.
alter table remark drop constraint remark_state_check;
alter table remark add constraint remark_state_check
  check (state in ('working', 'ready', 'applying', 'applied', 'cancelled', 'failed', 'stale'));
update remark k set state = 'cancelled'
where state = 'working'
  and exists (select from remark o where o.centre_id = k.centre_id and o.task_id = k.task_id and o.state = 'working' and o.made_at > k.made_at);
create unique index remark_at_work on remark (centre_id, task_id) where state = 'working';
