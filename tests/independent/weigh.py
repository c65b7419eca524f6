"""Computes the exports of compare, weigh and topics a second time, from the same files, sharing no code with the application.

Plain Python, one keyword at a time. Reads a folder with files.json (what was imported, in order) and prints JSON.
"""
import csv, json, math, re, sys
from statistics import median

folder = sys.argv[1]
plan = json.load(open(folder + '/files.json'))
own, rivals = plan['own'], plan['competitors']
domains = [own] + rivals
snapshots, metrics, listed, authority = {}, [], set(), {}
results, performance = [], {}
number = lambda text: float(text) if text not in ('', '-', 'n/a') else None

for order, entry in enumerate(plan['files']):
    rows = list(csv.DictReader(open(folder + '/' + entry['file'], newline='', encoding='utf-8')))
    if entry['kind'] == 'rankings':
        place = snapshots.setdefault(entry['domain'], {}).setdefault(entry['date'], {})
        place.clear()
        for row in rows:
            if int(row['position']) > 100 or (row['url'] and '//' + entry['domain'] + '/' not in row['url']):
                continue
            place.setdefault(row['keyword'], []).append((int(row['position']), row['url'] == '', row['url']))
            metrics.append((1, entry['date'], domains.index(entry['domain']), row))
    elif entry['kind'] == 'keywords':
        for row in rows:
            listed.add(row['keyword'])
            metrics.append((0, entry['date'], -1, row))
    elif entry['kind'] == 'domains':
        authority.update({row['domain']: number(row['authority']) for row in rows})
    elif entry['kind'] == 'results':
        results += [(entry['date'], row) for row in rows]
    elif entry['kind'] == 'performance':
        for row in rows:
            clicks, seen = performance.get(row['query'], (0, 0))
            performance[row['query']] = (clicks + int(row['clicks']), seen + int(row['impressions']))

def metric(keyword, name):
    known = [(kind, date, place, number(row[name])) for kind, date, place, row in by_keyword.get(keyword, []) if number(row[name]) is not None]
    if not known:
        return None
    kind = min(k[0] for k in known)
    date = max(k[1] for k in known if k[0] == kind)
    place = min(k[2] for k in known if k[0] == kind and k[1] == date)
    return next(k[3] for k in known if k[:3] == (kind, date, place))

by_keyword = {}
for entry in metrics:
    by_keyword.setdefault(entry[3]['keyword'], []).append(entry)
dates = {d: sorted(snapshots.get(d, {}), reverse=True) for d in domains}
now = {d: snapshots[d][dates[d][0]] if dates[d] else {} for d in domains}
before = {d: snapshots[d][dates[d][1]] if len(dates[d]) > 1 else None for d in domains}
universe = sorted(set(listed).union(*[set(now[d]) for d in domains]), key=lambda k: k.encode())
best = lambda book, keyword: min(book[keyword]) if keyword in book else None
position = lambda d, keyword: best(now[d], keyword)[0] if keyword in now[d] else None

HEAD = [.325, .176, .114, .081, .061, .044, .035, .031, .026, .024, .010, .008, .007, .006, .004]
ctr = lambda p: HEAD[p - 1] if p <= 15 else .004 * (15 / p) ** 2 if p <= 100 else 0

def words(keyword):
    return re.findall(r"[a-z0-9'’]+", keyword)

def brands(keyword):
    w, found = [re.sub("['’]s$", '', x) for x in words(keyword)], set()
    for d in domains:
        term = d.split('.')[0].replace('-', '')
        found |= {d for i in range(len(w)) for j in range(i + 1, len(w) + 1) if ''.join(w[i:j]) == term}
    return found

LISTS = [('buy', 'buy|order|purchase|coupon|deal|discount|voucher|price|pricing|cost|shipping|delivery|for sale|near me|shop|store'), ('compare', 'best|top|review|vs|versus|compare|comparison|alternative|cheap|cheapest'), ('learn', 'how|what|why|when|guide|tutorial|tip|idea|way to|learn|meaning|example|diy')]
def intent(keyword):
    text = ' ' + ' '.join(words(keyword)) + ' '
    for name, phrases in LISTS:
        if any(re.search(' ' + ' '.join(w + 's?' for w in p.split(' ')) + ' ', text) for p in phrases.split('|')):
            return name
    return 'open'

# Comfort difficulty
shown = [metric(k, 'difficulty') for k in universe if position(own, k) and position(own, k) <= 10 and (metric(k, 'volume') or 0) >= 100 and metric(k, 'difficulty') is not None and not brands(k)]
comfort = sum(shown) / len(shown) if len(shown) >= 10 else 30.0

# Win model: Newton's method on single rows
rows = [(metric(k, 'difficulty'), authority.get(d), 1 if position(d, k) and position(d, k) <= 10 else 0) for d in domains if dates[d] for k in universe if metric(k, 'difficulty') is not None]
columns = [[r[0] for r in rows]] + ([[r[1] for r in rows]] if all(authority.get(d) is not None for d in domains) else [])
fitted = len(rows) >= 50 and 0 < sum(r[2] for r in rows) < len(rows)
if fitted:
    scale = [(sum(c) / len(c), math.sqrt(sum((x - sum(c) / len(c)) ** 2 for x in c) / len(c))) for c in columns]
    keep = [i for i, s in enumerate(scale) if s[1] > 0]
    X = [[1.0] + [(columns[i][n] - scale[i][0]) / scale[i][1] for i in keep] for n in range(len(rows))]
    beta = [0.0] * (len(keep) + 1)
    for _ in range(60):
        size = len(beta)
        g, H = [0.0] * size, [[0.0] * size for _ in range(size)]
        for x, r in zip(X, rows):
            p = 1 / (1 + math.exp(-sum(a * b for a, b in zip(x, beta))))
            for i in range(size):
                g[i] += (p - r[2]) * x[i]
                for j in range(size):
                    H[i][j] += p * (1 - p) * x[i] * x[j]
        for i in range(1, size):
            g[i] += beta[i]
            H[i][i] += 1
        M = [H[i] + [g[i]] for i in range(size)]
        for i in range(size):
            for j in range(i + 1, size):
                f = M[j][i] / M[i][i]
                M[j] = [a - f * b for a, b in zip(M[j], M[i])]
        step = [0.0] * size
        for i in reversed(range(size)):
            step[i] = (M[i][size] - sum(M[i][j] * step[j] for j in range(i + 1, size))) / M[i][i]
        beta = [b - s for b, s in zip(beta, step)]

def chance(p0, difficulty):
    h = 0 if p0 is None or p0 > 50 else 1 if p0 <= 10 else .35 if p0 <= 20 else .1
    if h == 1 or difficulty is None:
        return 1.0 if h == 1 else None
    if fitted:
        x = [difficulty, authority.get(own)]
        p = 1 / (1 + math.exp(-(beta[0] + sum(beta[n + 1] * (x[i] - scale[i][0]) / scale[i][1] for n, i in enumerate(keep)))))
    else:
        p = 1 / (1 + math.exp((difficulty - comfort) / 8))
    return 1 - (1 - p) * (1 - h)

# Links
page_one = {}
for k in {r['keyword'] for _, r in results}:
    newest = max(d for d, r in results if r['keyword'] == k)
    known = [int(r['referring_domains']) for d, r in results if r['keyword'] == k and d == newest and int(r['position']) <= 10 and r['referring_domains']]
    if known:
        page_one[k] = median(known)
pairs = [(metric(k, 'difficulty'), math.log1p(page_one[k])) for k in universe if k in page_one and metric(k, 'difficulty') is not None]
a, b = 0.0, .06
if len(pairs) >= 10:
    mx, my = sum(p[0] for p in pairs) / len(pairs), sum(p[1] for p in pairs) / len(pairs)
    b = sum((x - mx) * (y - my) for x, y in pairs) / sum((x - mx) ** 2 for x, y in pairs)
    a = my - b * mx
def links(keyword, difficulty, url):
    needed = page_one.get(keyword)
    if needed is None:
        if difficulty is None:
            return None
        needed = math.exp(a + b * difficulty) - 1
    have = [(d, int(r['referring_domains'])) for d, r in results if r['url'] == url and r['referring_domains']]
    return max(0, math.ceil(needed) - (max(have)[1] if have else 0))

# Topics: evidence between every pair
stem = plan['stems']
pages = {k: {(d, u) for d in domains for p, none, u in now[d].get(k, []) if u and p <= 20 and not re.fullmatch(r'https://[^/]+/', u)} for k in universe}
needed = 2 if sum(any(u for ranks in now[d].values() for _, _, u in ranks) for d in domains) >= 2 else 1
order = sorted(universe, key=lambda k: (-(metric(k, 'volume') if metric(k, 'volume') is not None else -1), k.encode()))
topic, taken = {}, {}
for k in order:
    if k in topic:
        continue
    topic[k] = k
    taken[k] = [o for o in universe if o not in topic and len({d for d, u in pages[k] & pages[o]}) >= needed]
    topic.update({o: k for o in taken[k]})
first = {}
for k in list(taken):
    stems = frozenset(stem[w] for w in words(k))
    home = first.setdefault(stems, k)
    if not taken[k] and home != k:
        topic[k] = home

compare, weigh = [], []
for k in universe:
    ranks = [position(d, k) for d in domains]
    p0, others = ranks[0], [(p, i) for i, p in enumerate(ranks) if i and p]
    top = min(others) if others else None
    standing = ('gap' if top else 'unclaimed') if p0 is None else 'alone' if not top else 'behind' if top[0] < p0 else 'level' if top[0] == p0 else 'ahead'
    old = None if before[own] is None else (best(before[own], k) or [None])[0]
    movement = None if before[own] is None or (old is None and p0 is None) else 'entered' if old is None else 'left' if p0 is None else 'climbed' if p0 < old else 'slipped' if p0 > old else 'steady'
    url = best(now[own], k)[2] or None if p0 else None
    volume, difficulty, cpc = metric(k, 'volume'), metric(k, 'difficulty'), metric(k, 'cpc')
    compare.append([k, standing, p0, url, rivals[top[1] - 1] if top else None, top[0] if top else None, len(others), len([1 for p, _ in others if p0 is None or p < p0]), volume, difficulty, cpc, movement] + ranks[1:])
    named = brands(k)
    if p0 == 1 or standing == 'unclaimed' or (named and own not in named):
        continue
    target = max(1, p0 - 1) if p0 is not None and p0 <= 3 else 3
    visits = 0.0 if p0 is None else None if volume is None else volume * ctr(p0)
    gain = None if volume is None else max(0.0, volume * ctr(target) - visits)
    win, earn = chance(p0, difficulty), links(k, difficulty, url)
    scores = [None if volume is None else sum(volume >= x for x in (10, 50, 200, 1000, 5000)), None if difficulty is None else 5 - sum(difficulty > x for x in (10, 20, 35, 50, 70)), None if gain is None else sum(gain >= x for x in (5, 20, 75, 250, 1000))]
    known = [s for s in scores if s is not None]
    horizon = None if difficulty is None else 'quick win' if p0 and 6 <= p0 <= 20 and difficulty <= comfort else 'short term' if win >= .35 else 'long term'
    near = {u for p, none, u in now[own].get(k, []) if u and p <= 50}
    clicks, seen = performance.get(k, (0, 0))
    tactic = 'merge pages' if len(near) > 1 else ('extend page' if any(o != k and topic[o] == topic[k] and (position(own, o) or 101) <= 50 for o in universe) else 'new page') if p0 is None or p0 > 50 else 'test title' if p0 <= 10 and seen >= 100 and clicks / seen < .7 * ctr(p0) else 'refresh page' if old and p0 - old >= 3 else 'improve page'
    tactic += ' + links' if earn and win is not None and win < .35 else ''
    weigh.append([k, standing, p0, target, volume, difficulty, visits, None if volume is None else volume * ctr(1), gain, win, None if win is None or gain is None else win * gain, sum(known) / len(known) if known else None, horizon, tactic, earn, intent(k), topic[k]])
last = lambda value, sign: (value is None, 0 if value is None else sign * value)
weigh.sort(key=lambda r: (r[8] is None, last(r[11], -1), last(r[8], -1), last(r[5], 1), r[0].encode()))
json.dump({'compare': compare, 'weigh': weigh, 'topics': topic}, sys.stdout)
