create table job (
    id       varchar(40) primary key,
    vehicle  text        not null,
    revision bigint      not null,
    changed  varchar(40) not null,
    document text        not null
);

create table preference (
    name  varchar(60) primary key,
    value text        not null
);
