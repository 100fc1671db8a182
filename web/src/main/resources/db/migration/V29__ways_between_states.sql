-- The states that an instructor set by known moves are found from the state before, as rounds are.
create index vehicle_state_set_from on vehicle_state (centre_id, prior_id) where made_by = 'preset' and prior_id is not null;
