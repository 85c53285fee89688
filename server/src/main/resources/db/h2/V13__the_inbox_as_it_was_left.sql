-- How each person left their inbox, and whether they stay where they are after an act.
alter table staff add column inbox varchar(1000) default '' not null;
alter table staff add column stays boolean default false not null;
