-- Turn-out is given at the locks, or with the inner wheel turned by an angle; whether something can be adjusted may not be known; a sheet
-- knows how its axles are sprung, where anybody does.
alter table sheet_line add column inner_angle integer check (inner_angle between 5 and 50),
  drop constraint sheet_line_adjustable_check, add check (adjustable in ('yes', 'no', 'addedParts', 'notKnown'));
alter table sheet
  add column front_suspension text check (front_suspension in ('strut', 'doubleWishbone', 'beam', 'rigid')),
  add column rear_suspension text check (rear_suspension in ('strut', 'doubleWishbone', 'beam', 'rigid'));
