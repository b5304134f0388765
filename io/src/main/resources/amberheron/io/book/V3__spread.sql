-- Minutes left of a booked job, "early,likely,late": the day's bays are drawn from them. Judged anew to have them.
alter table job add column spread varchar(80);
update job set judged = null;
