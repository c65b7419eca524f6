-- Makes the application's role the owner of a database and of all that lies in it; what it owns already stays as it is.
SELECT format('ALTER DATABASE %I OWNER TO %I', current_database(), :'role')
WHERE (SELECT datdba FROM pg_database WHERE datname = current_database()) <> (SELECT oid FROM pg_roles WHERE rolname = :'role') \gexec
SELECT format('ALTER %s %s OWNER TO %I', CASE relkind WHEN 'S' THEN 'SEQUENCE' WHEN 'v' THEN 'VIEW' ELSE 'TABLE' END, oid::regclass, :'role')
FROM pg_class
WHERE relnamespace = 'public'::regnamespace AND relkind IN ('r', 'p', 'S', 'v') AND relowner <> (SELECT oid FROM pg_roles WHERE rolname = :'role')
    -- A sequence of a column goes with its table.
    AND NOT (relkind = 'S' AND EXISTS (SELECT FROM pg_depend WHERE objid = pg_class.oid AND deptype IN ('a', 'i'))) \gexec
SELECT format('ALTER FUNCTION %s OWNER TO %I', oid::regprocedure, :'role')
FROM pg_proc WHERE pronamespace = 'public'::regnamespace AND proowner <> (SELECT oid FROM pg_roles WHERE rolname = :'role') \gexec
SELECT format('ALTER TEXT SEARCH DICTIONARY %I OWNER TO %I', dictname, :'role')
FROM pg_ts_dict WHERE dictnamespace = 'public'::regnamespace AND dictowner <> (SELECT oid FROM pg_roles WHERE rolname = :'role') \gexec
