-- Second readings that nobody has begun, for the marking queue. Without it the list was looked for from the vehicles' states, which grow with every sitting.
create index sitting_state_unbegun_reference on sitting_state (centre_id, sitting_id)
  where purpose = 'reference' and last_seq = 0;
