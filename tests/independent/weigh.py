"""Computes the exports of compare, weigh (by keyword and by topic), topics, plan and model a second time, from the same files, sharing no code with the application.

Plain Python, one keyword at a time. Reads a folder with files.json (what was imported, in order) and prints JSON.
"""
import csv, json, math, re, sys, zlib
from collections import Counter
from statistics import median

folder = sys.argv[1]
plan = json.load(open(folder + '/files.json'))
own, rivals = plan['own'], plan['competitors']
domains = [own] + rivals
book = {'effect': .5, 'model_lambda': 1.0, 'scores': 'smooth', 'feature_clicks': {}, **dict(plan['rulebook'] or {})}
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
            place.setdefault(row['keyword'], []).append((int(row['position']), row['url'] == '', row['url'], row.get('features') or ''))
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

# Ground: what the page that leads here ranks for, and how much of it a domain holds
is_home = lambda u: re.fullmatch(r'https://[^/]+/', u)
place20 = {d: {k: {r[2] for r in ranks if r[2] and r[0] <= 20} for k, ranks in now[d].items()} for d in domains}
holds = {d: {k for k in now[d] if position(d, k) <= 20} for d in domains}
of_page = {}
for d in domains:
    for k, urls in place20[d].items():
        for u in urls:
            of_page.setdefault((d, u), set()).add(k)

def ground(d, keyword):
    leads = []
    for order, o in enumerate(domains):
        top = best(now[o], keyword) if o != d else None
        if top and top[0] <= 20 and top[2] and not is_home(top[2]):
            leads.append((top[0], order, o, top[2]))
    if not leads:
        return 25
    _, _, o, url = min(leads)
    others = of_page[(o, url)] - {keyword}
    held = len(others & holds[d])
    return min(99, max(1, (200 * (held + 1) + len(others) + 4) // (2 * (len(others) + 4))))

# Position model: Newton's method on the plain likelihood, P(class) = F(bound) - F(bound before)
BOUNDS = [1, 3, 5, 10, 20, 50, 100]
placed = lambda p: 7 if p is None else next(j for j, c in enumerate(BOUNDS) if p <= c)
told = sum(1 for d in domains for ranks in now[d].values() for r in ranks if r[0] <= 20 and r[2])
ranked = sum(1 for d in domains for ranks in now[d].values() for r in ranks if r[0] <= 20)
use = ['difficulty'] + (['authority'] if all(authority.get(d) is not None for d in domains if dates[d] or d == own) else []) + (['ground'] if 2 * told >= ranked else [])
rows = Counter()
for k in universe:
    if metric(k, 'difficulty') is None or brands(k):
        continue
    for d in domains:
        if dates[d]:
            rows[(zlib.crc32(k.encode()) % 5, metric(k, 'difficulty'), authority.get(d), ground(d, k), placed(position(d, k)))] += 1
value = lambda name, row: {'difficulty': row[1], 'authority': row[2], 'ground': math.log(row[3] / (100 - row[3]))}[name]
sigma = lambda z: 1 / (1 + math.exp(-z)) if z > -700 else 0.0

def solve(H, g):
    n = len(g)
    M = [H[i][:] + [g[i]] for i in range(n)]
    for i in range(n):
        p = max(range(i, n), key=lambda j: abs(M[j][i]))
        M[i], M[p] = M[p], M[i]
        for j in range(i + 1, n):
            f = M[j][i] / M[i][i]
            M[j] = [a - f * b for a, b in zip(M[j], M[i])]
    x = [0.0] * n
    for i in reversed(range(n)):
        x[i] = (M[i][n] - sum(M[i][j] * x[j] for j in range(i + 1, n))) / M[i][i]
    return x

def newton(X, y, weights, classes, lam):
    K, p = len(classes), len(X[0])
    total = sum(weights)
    cum = [sum(w for w, c in zip(weights, y) if classes.index(c) <= j) / total for j in range(K - 1)]
    theta = [math.log(c / (1 - c)) for c in cum] + [0.0] * p
    n = K - 1 + p
    def look(theta):
        if any(theta[j] <= theta[j - 1] for j in range(1, K - 1)):
            return None
        loss, g, H = 0.0, [0.0] * n, [[0.0] * n for _ in range(n)]
        for x, c, w in zip(X, y, weights):
            j = classes.index(c)
            eta = sum(a * b for a, b in zip(x, theta[K - 1:]))
            F1 = sigma(theta[j] + eta) if j < K - 1 else 1.0
            F0 = sigma(theta[j - 1] + eta) if j > 0 else 0.0
            P = F1 - F0
            f1, f0 = F1 * (1 - F1), F0 * (1 - F0)
            s1, s0 = f1 * (1 - 2 * F1), f0 * (1 - 2 * F0)
            loss -= w * math.log(P)
            d1, d0 = [0.0] * n, [0.0] * n
            if j < K - 1:
                d1[j] = 1.0
            if j > 0:
                d0[j - 1] = 1.0
            for i in range(p):
                d1[K - 1 + i] = d0[K - 1 + i] = x[i]
            u = [f1 * a - f0 * b for a, b in zip(d1, d0)]
            for i in range(n):
                g[i] -= w * u[i] / P
                for m in range(n):
                    H[i][m] -= w * ((s1 * d1[i] * d1[m] - s0 * d0[i] * d0[m]) / P - u[i] * u[m] / P ** 2)
        for i in range(K - 1, n):
            loss += lam / 2 * theta[i] ** 2
            g[i] += lam * theta[i]
            H[i][i] += lam
        return loss, g, H
    here = look(theta)
    for _ in range(100):
        if math.sqrt(sum(v * v for v in here[1])) < 1e-8:
            break
        step, length, moved = solve(here[2], here[1]), 1.0, False
        for _ in range(30):
            there = look([t - length * s for t, s in zip(theta, step)])
            if there and (there[0] < here[0] or sum(v * v for v in there[1]) < sum(v * v for v in here[1])):
                theta, here, moved = [t - length * s for t, s in zip(theta, step)], there, True
                break
            length /= 2
        if not moved:
            break
    return theta[:K - 1], theta[K - 1:]

def learn(taken):
    n = sum(taken.values())
    classes = sorted({row[4] for row in taken})
    if n < 200 or len(classes) < 2:
        return {'rows': n, 'assumed': 1, 'alpha': [comfort / 8 + o for o in (-2.9, -1.7, -1.05, 0, .95, 1.9, 2.3)], 'beta': {'difficulty': -1 / 8}, 'odd': []}
    names, odd = [f for f in use if len({value(f, row) for row in taken}) > 1], []
    while True:
        scale = {}
        for f in names:
            m = sum(value(f, row) * w for row, w in taken.items()) / n
            scale[f] = (m, math.sqrt(sum((value(f, row) - m) ** 2 * w for row, w in taken.items()) / n))
        grouped = Counter()
        for row, w in taken.items():
            grouped[(tuple((value(f, row) - scale[f][0]) / scale[f][1] for f in names), row[4])] += w
        alphas, slopes = newton([x for x, _ in grouped], [c for _, c in grouped], list(grouped.values()), classes, book['model_lambda'])
        beta = {f: b / scale[f][1] for f, b in zip(names, slopes)}
        wrong = [f for f in names if (beta[f] > 0 if f == 'difficulty' else beta[f] < 0)]
        if not wrong:
            break
        odd += wrong
        names = [f for f in names if f not in wrong]
    shift = sum(beta[f] * scale[f][0] for f in names)
    alpha = []
    for j in range(7):
        below = sum(c <= j for c in classes)
        alpha.append(-math.inf if below == 0 else math.inf if below == len(classes) else alphas[below - 1] - shift)
    return {'rows': n, 'assumed': 0, 'alpha': alpha, 'beta': beta, 'odd': [f for f in ('difficulty', 'authority', 'ground') if f in odd]}

model = learn(rows)
def F_at(fit, j, difficulty, power, g):
    z = fit['alpha'][j] + fit['beta'].get('difficulty', 0) * difficulty + (fit['beta']['authority'] * power if 'authority' in fit['beta'] else 0) + (fit['beta']['ground'] * math.log(g / (100 - g)) if 'ground' in fit['beta'] else 0)
    return 0.0 if z == -math.inf else 1.0 if z == math.inf else sigma(z)

def F(t, difficulty, g):
    if t == 0:
        return 0.0
    j = next(j for j, c in enumerate(BOUNDS) if t <= c)
    low, before = (F_at(model, j - 1, difficulty, authority.get(own), g), BOUNDS[j - 1]) if j else (0.0, 0)
    return low + (t - before) / (BOUNDS[j] - before) * (F_at(model, j, difficulty, authority.get(own), g) - low)

brier = {}
folds = [learn(Counter({r: w for r, w in rows.items() if r[0] != f})) for f in range(5)]
for bound in (3, 10, 20):
    j, n, error, base = BOUNDS.index(bound), sum(rows.values()), 0.0, 0.0
    for f in range(5):
        rest = {r: w for r, w in rows.items() if r[0] != f}
        share = sum(w for r, w in rest.items() if r[4] <= j) / sum(rest.values()) if rest else 0.0
        for r, w in rows.items():
            if r[0] == f:
                y = 1 if r[4] <= j else 0
                error += w * (y - F_at(folds[f], j, r[1], r[2], r[3])) ** 2
                base += w * (y - share) ** 2
    brier[bound] = (error / n, base / n) if n else (None, None)

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
pages = {k: {(d, u) for d in domains for p, none, u, _ in now[d].get(k, []) if u and p <= 20 and not re.fullmatch(r'https://[^/]+/', u)} for k in universe}
def stems(keyword):
    return frozenset(stem[w] for w in words(keyword.replace('’', "'")))
needed = 2 if sum(any(u for ranks in now[d].values() for _, _, u, _ in ranks) for d in domains) >= 2 else 1
order = sorted(universe, key=lambda k: (-(metric(k, 'volume') if metric(k, 'volume') is not None else -1), k.encode()))
topic, taken = {}, {}
for k in order:
    if k in topic:
        continue
    topic[k] = k
    shared = {o: len({d for d, u in pages[k] & pages[o]}) for o in universe if o not in topic}
    taken[k] = [o for o, n in shared.items() if n >= needed or n and 2 * len(stems(k) & stems(o)) >= len(stems(k) | stems(o)) > 0]
    topic.update({o: k for o in taken[k]})
first = {}
for k in list(taken):
    home = first.setdefault(stems(k) or k, k)
    if not taken[k] and home != k:
        topic[k] = home

def score(x, bounds):
    if x is None:
        return None
    reached = sum(round(x, 9) >= b for b in bounds)
    if book['scores'] == 'stepped' or reached == 5:
        return reached
    return x / bounds[0] if reached == 0 else reached + math.log(x / bounds[reached - 1]) / math.log(bounds[reached] / bounds[reached - 1])

def ease(x):
    if x is None:
        return None
    bounds = (10, 20, 35, 50, 70, 100)
    passed = sum(round(x, 9) > b for b in bounds[:5])
    if book['scores'] == 'stepped' or passed == 0:
        return 5 - passed
    return 6 - passed - (x - bounds[passed - 1]) / (bounds[passed] - bounds[passed - 1])

compare, weigh, fees = [], [], {}
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
    seen_features = {f.strip().lower() for d in domains for r in now[d].get(k, []) for f in r[3].split(';') if f.strip()}
    phi = math.prod(book['feature_clicks'].get(f, 1.0) for f in seen_features)
    visits = 0.0 if p0 is None else None if volume is None else volume * phi * ctr(p0)
    gain = None if volume is None else max(0.0, volume * phi * ctr(target) - visits)
    held, earn = ground(own, k), links(k, difficulty, url)
    win = expected = reach = None
    if difficulty is not None:
        F0 = F(p0, difficulty, held) if p0 else 1.0
        towards = F(target, difficulty, held) / F0 if F0 > 0 else 0.0
        reach = towards if p0 else F(10, difficulty, held)
        win = book['effect'] * towards
        if F0 == 0:
            expected = 0.0
        elif volume is not None:
            rate = ctr(p0) if p0 else 0.0
            expected = book['effect'] * volume * phi * sum((F(t, difficulty, held) - F(t - 1, difficulty, held)) / F0 * (ctr(t) - rate) for t in range(1, (p0 or 100) + 1))
    scores = {'expected': score(expected, (2, 10, 40, 150, 600)), 'ease': ease(difficulty), 'gain': score(gain, (5, 20, 75, 250, 1000))}
    known = [(w, scores[c]) for c, w in (('expected', 2), ('ease', 1), ('gain', 1)) if scores[c] is not None]
    priority = sum(w * x for w, x in known) / sum(w for w, _ in known) if known else None
    horizon = None if difficulty is None else 'quick win' if p0 and 6 <= p0 <= 20 and round(difficulty, 9) <= round(comfort, 9) and gain is not None and round(gain, 9) >= 10 else 'short term' if round(reach, 9) >= .25 else 'long term'
    near = {u for p, none, u, _ in now[own].get(k, []) if u and p <= 50}
    clicks, seen = performance.get(k, (0, 0))
    tactic = 'merge pages' if len(near) > 1 else ('extend page' if any(o != k and topic[o] == topic[k] and (position(own, o) or 101) <= 50 for o in universe) else 'new page') if p0 is None or p0 > 50 else 'test title' if p0 <= 10 and seen >= 100 and round(clicks / seen, 9) < round(.7 * phi * ctr(p0), 9) else 'refresh page' if old and p0 - old >= 3 else 'improve page'
    tactic += ' + links' if earn and reach is not None and round(reach, 9) < .25 else ''
    fees[k] = cpc
    weigh.append([k, standing, p0, target, volume, difficulty, held / 100, visits, None if volume is None else volume * phi * ctr(1), gain, win, expected, priority, horizon, tactic, earn, intent(k), topic[k]])
last = lambda value, sign: (value is None, 0 if value is None else sign * round(value, 9))
weigh.sort(key=lambda r: (0 if r[11] is not None else 1 if r[9] is not None else 2, last(r[12], -1), last(r[9], -1), last(r[5], 1), r[0].encode()))

# A topic is a page: sums over what is open of it, the rest its lead's
DAYS = {'new page': 3, 'extend page': 1.5, 'improve page': 1, 'refresh page': 1.5, 'merge pages': 1, 'test title': .5}
def total(values):
    known = [v for v in values if v is not None]
    return sum(known) if known else None
def own_page(name):
    found = {}
    for k in (k for k in universe if topic[k] == name):
        seen_features = {f.strip().lower() for d in domains for r in now[d].get(k, []) for f in r[3].split(';') if f.strip()}
        phi = math.prod(book['feature_clicks'].get(f, 1.0) for f in seen_features)
        for u in {r[2] for r in now[own].get(k, []) if r[2]}:
            place = min(r[0] for r in now[own][k] if r[2] == u)
            found.setdefault(u, []).append((place, (metric(k, 'volume') or 0) * phi * ctr(place)))
    near = [(-round(sum(v for _, v in f), 9), min(p for p, _ in f), u) for u, f in found.items() if min(p for p, _ in f) <= 50]
    return min(near)[2] if near else None
by_topic = {}
for r in weigh:
    if r[0] not in plan['set_aside']:
        by_topic.setdefault(r[17], []).append(r)
pages_weighed = []
for name, rows in by_topic.items():
    rows.sort(key=lambda r: r[0].encode())
    lead = next((r for r in rows if r[0] == name), None) or min(rows, key=lambda r: (r[9] is None, -round(r[9] or 0, 9), r[0].encode()))
    volume, visits, potential, gain, expected = (total(r[i] for r in rows) for i in (4, 7, 8, 9, 11))
    paid = [(r[9], fees[r[0]]) for r in rows if r[9] is not None and fees[r[0]] is not None]
    wanted = max(('buy', 'compare', 'learn', 'open'), key=lambda i: round(sum(r[9] or 0 for r in rows if r[16] == i), 9) if any(r[16] == i for r in rows) else -1)
    horizon = lead[13] and ('quick win' if lead[2] and 6 <= lead[2] <= 20 and round(lead[5], 9) <= round(comfort, 9) and gain is not None and round(gain, 9) >= 10 else lead[13])
    scores = {'expected': score(expected, (2, 10, 40, 150, 600)), 'ease': ease(lead[5]), 'gain': score(gain, (5, 20, 75, 250, 1000))}
    known = [(w, scores[c]) for c, w in (('expected', 2), ('ease', 1), ('gain', 1)) if scores[c] is not None]
    priority = sum(w * x for w, x in known) / sum(w for w, _ in known) if known else None
    effort = DAYS[lead[14].replace(' + links', '')] + (.25 * lead[15] if ' + links' in lead[14] else 0)
    pages_weighed.append([name, lead[0], len(rows), own_page(name), lead[2], lead[3], volume, lead[5], visits, potential, gain, lead[10], expected, priority, horizon, lead[14], effort, None if expected is None else expected / effort, lead[15], wanted])
pages_weighed.sort(key=lambda r: (0 if r[12] is not None else 1 if r[10] is not None else 2, last(r[13], -1), last(r[10], -1), last(r[7], 1), r[0].encode()))

# The plan: in each month the best choice of what fits, of equal ones the one that takes the better rank first
def seasonal(name):
    year = [0] * 12
    for r in by_topic[name]:
        months = plan['months'].get(r[0])
        if months:
            year = [a + b for a, b in zip(year, months)]
    return year
def publish_by(year, ramp, start):
    mean = sum(year) / 12
    if not mean or max(year) / mean < 1.5:
        return None
    peak = year.index(max(year))
    month = next(m for m in range(start, start + 36) if (m + ramp) % 12 == peak)
    return '%04d-%02d' % (month // 12, month % 12 + 1)
def choose(items, room):
    best = [[0] * (room + 1) for _ in range(len(items) + 1)]
    for i in range(len(items) - 1, -1, -1):
        for c in range(room + 1):
            best[i][c] = max(best[i + 1][c], items[i][2] + best[i + 1][c - items[i][1]] if items[i][1] <= c else -1)
    chosen, sofar, floor = [], 0, best[0][room] * (1 - 1e-9)
    for i, (name, units, value) in enumerate(items):
        if units <= room and sofar + value + best[i + 1][room - units] >= floor:
            chosen.append(name)
            sofar, room = sofar + value, room - units
    return chosen
RAMPS = {'new page': 4, 'extend page': 3, 'improve page': 2, 'refresh page': 2, 'merge pages': 2, 'test title': 1}
row_of = {r[0]: r for r in pages_weighed}
START, CAPACITY = 12 * 2026 + 11, 12
waiting = [(r[0], math.ceil(round(2 * r[16], 9)), r[12]) for r in pages_weighed if r[12] is not None and r[12] > 0]
left_out = [w[0] for w in waiting if w[1] > CAPACITY]
waiting = [w for w in waiting if w[1] <= CAPACITY]
top = sorted(waiting, key=lambda w: -w[2] / row_of[w[0]][16])[:500]
waiting = [w for w in waiting if w in top]
planned = []
for month in range(4):
    chosen = choose(waiting, CAPACITY)
    waiting = [w for w in waiting if w[0] not in chosen]
    for name in chosen:
        r = row_of[name]
        ramp = RAMPS[r[15].replace(' + links', '')]
        planned.append(['%04d-%02d' % ((START + month) // 12, (START + month) % 12 + 1), name, r[1], r[2], r[3], r[15], r[16], r[12], r[11], publish_by(seasonal(name), ramp, START)])
# What the plan adds on average, month by month: expected gain, by the season, in equal steps until its ramp has passed
def index(year, month):
    return year[month % 12] * 12 / sum(year) if sum(year) else 1
forecast = []
for month in range(START, START + 10):
    added = 0
    for p in planned:
        since = month - (12 * int(p[0][:4]) + int(p[0][5:]) - 1)
        if since > 0:
            added += p[7] * index(seasonal(p[1]), month) * min(1, since / RAMPS[p[5].replace(' + links', '')])
    forecast.append(added)
spell = lambda x: 'inf' if x == math.inf else '-inf' if x == -math.inf else x
told_model = [['rows', model['rows']], ['assumed', model['assumed']], ['effect', book['effect']], ['effect_items', 0]]
told_model += [['alpha_%d' % c, spell(x)] for c, x in zip(BOUNDS, model['alpha'])]
told_model += [['beta_' + f, model['beta'].get(f)] for f in ('difficulty', 'authority', 'ground')] + [['odd', ','.join(model['odd']) or None]]
for bound in (3, 10, 20):
    told_model += [['brier_%d' % bound, brier[bound][0]], ['brier_%d_base' % bound, brier[bound][1]]]
told_model += [['links_a', a], ['links_b', b], ['links_n', len(pairs)], ['comfort', comfort], ['comfort_n', len(shown)]]
json.dump({'compare': compare, 'weigh': weigh, 'topics': topic, 'pages': pages_weighed, 'plan': planned, 'left_out': left_out, 'forecast': forecast, 'model': told_model}, sys.stdout)
