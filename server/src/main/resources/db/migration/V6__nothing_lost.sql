-- Each thing of a book has a name of its own that no other book has: a backup is put back by it.
alter table song add column uid uuid default random_uuid() not null unique;
alter table arrangement_version add column uid uuid default random_uuid() not null unique;
alter table player add column uid uuid default random_uuid() not null unique;
alter table guitar add column uid uuid default random_uuid() not null unique;
alter table own_pattern add column uid uuid default random_uuid() not null unique;

-- When it was last changed: of two versions of a thing the later one stays when backups are merged.
alter table player add column changed_at timestamp with time zone default current_timestamp not null;
alter table guitar add column changed_at timestamp with time zone default current_timestamp not null;
alter table own_pattern add column changed_at timestamp with time zone default current_timestamp not null;

-- A removed song waits here until it is put back or its time is over.
alter table song add column removed_at timestamp with time zone;

-- What the list says of a song and what it asks of a hand, each with the planner it was worked out by.
alter table song add column summary json;
alter table song add column summary_by varchar(64);
alter table song add column efforts json;
alter table song add column efforts_by varchar(64);

-- What is to be known of the book itself, such as whose it is.
create table book_fact (
    name varchar(40) primary key,
    content varchar(400) not null
);
