-- What an outside service says of a number, asked once and kept with its date. Where wanted_at stands, it is to be asked (again).
create table number_check (
  number_id bigint primary key references number (id),
  reach varchar(12),
  carrier varchar(80),
  registered_to varchar(160),
  checked_at timestamp(3) with time zone,
  wanted_at timestamp(3) with time zone,
  next_at timestamp(3) with time zone,
  tries int default 0 not null,
  after_failure boolean default false not null
);
create index number_check_wanted on number_check (next_at, number_id);

create table number_check_setting (
  id bigint primary key,
  automatic boolean not null,
  price decimal(12, 5) not null,
  currency varchar(3) not null
);
insert into number_check_setting (id, automatic, price, currency) values (1, false, 0, 'USD');
