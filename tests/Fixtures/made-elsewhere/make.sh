#!/usr/bin/env bash
# Makes the same list with programs that nobody here wrote, in several locales. Needs R, Python with openpyxl, LibreOffice
# Calc, and psql with a server to talk to (PGHOST, PGPORT, PGUSER, PGPASSWORD, PGDATABASE). Run it by hand; what it makes is committed.
set -euo pipefail
cd "$(dirname "$0")"
rm -f list.* r-* python-* psql-* calc-*

cat >list.csv <<'CSV'
keyword,position,url,volume,difficulty,cpc
café chairs,3,https://quillfair.example/cafe,1234,20.5,0.75
"ink, black",12,https://quillfair.example/ink,880,35,1.2
1984,7,https://quillfair.example/books,12500,61.25,
blotting paper,45,https://quillfair.example/paper,,9,0.3
CSV

Rscript - <<'R'
list <- read.csv("list.csv", fileEncoding = "UTF-8", colClasses = c(keyword = "character"))
write.csv(list, "r-point-utf8.csv", row.names = FALSE, na = "", fileEncoding = "UTF-8")
write.csv2(list, "r-comma-latin1.csv", row.names = FALSE, na = "n/a", fileEncoding = "latin1")
write.table(list, "r-tab.txt", sep = "\t", dec = ",", row.names = FALSE, na = "-", eol = "\r\n", fileEncoding = "UTF-8")
R

/usr/bin/python3 - <<'PY'
import csv, gzip, json, openpyxl
rows = list(csv.DictReader(open("list.csv", encoding="utf-8")))
names = list(rows[0])
def number(name, text):
    return text if name in ("keyword", "url") else None if text == "" else float(text) if "." in text else int(text)
typed = [{name: number(name, row[name]) for name in names} for row in rows]
with open("python-utf16-pipe.csv", "w", encoding="utf-16", newline="") as out:
    writer = csv.writer(out, delimiter="|"); writer.writerow(names); writer.writerows(row.values() for row in rows)
with open("python-cr-bom.csv", "w", encoding="utf-8-sig", newline="") as out:
    writer = csv.writer(out, lineterminator="\r"); writer.writerow(names); writer.writerows(row.values() for row in rows)
with gzip.GzipFile("python-thousands.csv.gz", "w", mtime=0) as out:
    lines = [";".join(names)] + [";".join([f'"{r["keyword"]}"', r["position"], r["url"], f'{int(r["volume"]):,}'.replace(",", ".") if r["volume"] else "—", r["difficulty"].replace(".", ","), r["cpc"].replace(".", ",")]) for r in rows]
    out.write(("\n".join(lines) + "\n").encode("cp1252", "replace").replace(b"\x97", b"-"))
json.dump(typed, open("python-list.json", "w"), indent=2)
open("python-lines.ndjson", "w", encoding="utf-8").writelines(json.dumps(row, ensure_ascii=False) + "\n" for row in typed)
book = openpyxl.Workbook()
book.active.title = "Cover"
sheet = book.create_sheet("Rankings")
sheet.append(names)
for row in typed:
    sheet.append(list(row.values()))
book.save("python-typed.xlsx")
PY

soffice --headless --infilter="CSV:44,34,76,1,1/2" --convert-to xlsx:"Calc MS Excel 2007 XML" --outdir . list.csv >/dev/null 2>&1 && mv list.xlsx calc-list.xlsx
soffice --headless --infilter="CSV:44,34,76,1,1/2" --convert-to ods --outdir . list.csv >/dev/null 2>&1 && mv list.ods calc-list.ods
soffice --headless --convert-to csv:"Text - txt - csv (StarCalc):59,34,ANSI,1" --outdir calc-out calc-list.ods >/dev/null 2>&1 && mv calc-out/calc-list.csv calc-semicolon-1252.csv && rm -r calc-out

psql -q <<'SQL'
CREATE TEMPORARY TABLE list (keyword text, position int, url text, volume int, difficulty float8, cpc numeric);
\copy list FROM list.csv CSV HEADER
\copy list TO psql-copy.csv CSV HEADER
\copy (SELECT row_to_json(list) FROM list) TO psql-lines.ndjson
\t on
\a
\o psql-list.json
SELECT json_agg(list) FROM list;
SQL
