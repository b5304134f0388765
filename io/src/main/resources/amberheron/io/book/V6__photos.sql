-- Photos of jobs that several bays work on, by the SHA-256 of their bytes.
create table photo (
    digest varchar(64) not null primary key,
    bytes bytea not null
);
