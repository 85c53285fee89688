-- Everything that changes, in the order it was written. From it others catch up.
create table change_feed (
  number bigint generated always as identity primary key,
  at timestamp(3) with time zone not null,
  kind varchar(20) not null,
  subject bigint not null,
  version bigint not null,
  detail varchar(100000),
  node varchar(60) not null
);
create index change_feed_by_time on change_feed (at, number);
