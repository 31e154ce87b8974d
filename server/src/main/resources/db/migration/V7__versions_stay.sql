-- A kept version stays what it was: the part as it was planned, and which planner did.
alter table arrangement_version add column planned json;
alter table arrangement_version add column planner varchar(64) default '' not null;
