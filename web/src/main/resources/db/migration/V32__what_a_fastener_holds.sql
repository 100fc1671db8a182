-- A task names a fastener by what it holds, on any vehicle. Sheets from before do not say.
alter table fastener add column use text check (length(use) between 1 and 40);
