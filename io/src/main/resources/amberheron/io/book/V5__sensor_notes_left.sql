-- Of a bay's copy: what was noted while the shared book was out of reach, and is still to be told to it.
create table sensor_note_left (
    number varchar(80) not null,
    noted varchar(10) not null,
    kind varchar(20) not null,
    job varchar(40) not null,
    value double precision not null,
    primary key (number, noted, kind, job)
);
