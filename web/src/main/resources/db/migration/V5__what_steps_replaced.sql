-- The practicals are documents now; what held them before goes.
drop table task_criterion;
alter table task_version
  drop column asked, drop column method, drop column repeats, drop column answer_unit, drop column decision_rule,
  drop column reading_full, drop column reading_none, drop column repeatability_full, drop column repeatability_none,
  drop column slip_keeps_percent, drop column outcome, drop column sheet_id,
  alter column document set not null, alter column document_version set not null;
