-- The lives of sensors, from job to job: a row for each thing noted, so that two bays can note without asking each other.
create table sensor_note (
    number varchar(80) not null,
    noted varchar(10) not null,
    kind varchar(20) not null,
    job varchar(40) not null,
    value double precision not null,
    primary key (number, noted, kind, job)
);
