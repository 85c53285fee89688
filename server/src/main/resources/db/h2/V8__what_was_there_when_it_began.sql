-- What stood in each of several conversations when an act on them began: what came in since is not put out of sight by it.
alter table batch_item add column shown varchar(4000);
