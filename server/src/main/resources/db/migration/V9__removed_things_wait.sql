-- What was removed waits here, as songs do, until it is put back or its time is over.
alter table player add column removed_at timestamp with time zone;
alter table guitar add column removed_at timestamp with time zone;
alter table own_pattern add column removed_at timestamp with time zone;
alter table arrangement_version add column removed_at timestamp with time zone;
