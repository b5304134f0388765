-- What the list of jobs shows, worked out when a job is kept, so that no document need be read for it.
alter table job add column judged  varchar(80);
alter table job add column states  text;
alter table job add column waits   varchar(20);
alter table job add column detail  text;
alter table job add column checked varchar(10);
alter table job add column booked  varchar(10);
alter table job add column bay     text;
alter table job add column fault   text;
-- SHA-256 of the document: a flipped bit on the disk is seen before it is worked with.
alter table job add column digest  varchar(64);

create index job_judged on job (judged);
