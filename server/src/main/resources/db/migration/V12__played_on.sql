-- The day on which a song is to be played; no change of the song itself.
alter table song add column played_on date;
