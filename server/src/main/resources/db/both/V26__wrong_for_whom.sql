-- A number that is wrong for one customer can be right for another who holds it.
create table wrong_for (
  number_id bigint not null references number (id) on delete cascade,
  customer_id bigint not null references customer (id) on delete cascade,
  marked_at timestamp(3) with time zone not null,
  primary key (number_id, customer_id)
);
create index wrong_for_customer on wrong_for (customer_id);

insert into wrong_for (number_id, customer_id, marked_at)
select distinct h.number_id, h.customer_id, current_timestamp from holding h join number n on n.id = h.number_id
where n.state = 'MARKED_WRONG' and h.held_until is null;

update number set state = 'GOOD'
where state = 'MARKED_WRONG' and exists (select 1 from wrong_for w where w.number_id = number.id);
