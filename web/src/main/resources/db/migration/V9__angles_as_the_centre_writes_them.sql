alter table centre add column angle_display text not null default 'deg' check (angle_display in ('deg', 'degMin'));
