-- Who changes what somebody else has just changed is told so, instead of undoing it.
alter table line add column version bigint default 0 not null;
alter table topic add column version bigint default 0 not null;
