-- An upload stays for its day after it was taken, so that a second press finds out that it was.
alter table upload add column taken boolean not null default false;
