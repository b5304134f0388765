-- The last entry of each window into each job: one that is sent again, since its answer got lost, is known whatever came after it.
create table entered (
    writer varchar(40) not null,
    job varchar(40) not null,
    number bigint not null,
    revision bigint not null,
    primary key (writer, job)
);
