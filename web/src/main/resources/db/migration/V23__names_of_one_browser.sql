-- Which names of an opening were taken from one browser: the instructor is told.
create index sitting_joined_browser on sitting_joined (centre_id, browser);
