-- When a song was last played along to; no change of the song itself.
alter table song add column practised_at timestamp with time zone;
