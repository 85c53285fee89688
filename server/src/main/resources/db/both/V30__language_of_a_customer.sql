-- The language of a customer where it differs from the business's: ISO 639-1, such as es.
alter table customer add column language varchar(8);
