-- The part that was last looked at, and which planner planned it: a song whose part another planner changes says so once.
alter table song add column seen json;
alter table song add column seen_by varchar(64);
