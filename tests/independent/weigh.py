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
book = {'moving_share': .35, 'title_success': .5, 'movement_noise': .2, 'model_lambda': 1.0, 'scores': 'smooth', 'feature_clicks': {}, **dict(plan['rulebook'] or {})}
snapshots, metrics, listed, authority = {}, [], set(), {}
results, performance, measured = [], {}, []
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
            measured.append((row['query'], float(row['position']), int(row['clicks']), int(row['impressions'])))

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
plain = lambda p: HEAD[p - 1] if p <= 15 else .004 * (15 / p) ** 2 if p <= 100 else 0

def words(keyword):
    return re.findall(r"[a-z0-9'’]+", keyword)

def brands(keyword):
    w, found = [re.sub("['’]s$", '', x) for x in words(keyword)], set()
    for d in domains:
        term = d.split('.')[0].replace('-', '')
        found |= {d for i in range(len(w)) for j in range(i + 1, len(w) + 1) if ''.join(w[i:j]) == term}
    return found

# The curve in use: our own clicks as soon as they suffice, pooled until it never rises
bins = {}
for query, place, clicks, seen in measured:
    if own not in brands(query):
        b = math.floor(place + .5)
        c, n = bins.get(b, (0, 0))
        bins[b] = (c + clicks, n + seen)
CURVE = [plain(p) for p in range(1, 101)]
if sum(c for c, _ in bins.values()) >= 300 and sum(bins.get(b, (0, 0))[1] >= 200 for b in range(1, 11)) >= 5:
    pools = []
    for b in range(1, 21):
        c, n = bins.get(b, (0, 0))
        pools.append([(c + 500 * plain(b)) / (n + 500), n + 500, 1])
        while len(pools) > 1 and pools[-2][0] <= pools[-1][0]:
            r, w, k = pools.pop()
            r0, w0, k0 = pools.pop()
            pools.append([(r * w + r0 * w0) / (w + w0), w + w0, k + k0])
    fitted = [r for r, _, k in pools for _ in range(k)]
    last_bin = max(b for b in range(1, 21) if bins.get(b, (0, 0))[1] >= 200)
    CURVE = fitted[:last_bin]
    while len(CURVE) < 100:
        p = len(CURVE) + 1
        CURVE.append(min(CURVE[-1], plain(p) * fitted[last_bin - 1] / plain(last_bin)))
ctr = lambda p: CURVE[p - 1] if p <= 100 else 0

LISTS = [('buy', 'buy|order|purchase|coupon|deal|discount|voucher|price|pricing|cost|shipping|delivery|for sale|near me|shop|store'), ('compare', 'best|top|review|vs|versus|compare|comparison|alternative|cheap|cheapest'), ('learn', 'how|what|why|when|guide|tutorial|tip|idea|way to|learn|meaning|example|diy')]
def intent(keyword, shown=()):
    text = ' ' + ' '.join(words(keyword)) + ' '
    for name, phrases in LISTS:
        if any(re.search(' ' + ' '.join(w + 's?' for w in p.split(' ')) + ' ', text) for p in phrases.split('|')):
            return name
    if set(shown) & {'products', 'shopping', 'prices'}:
        return 'buy'
    return 'learn' if set(shown) & {'featured snippet', 'answer', 'questions', 'video', 'how-to'} else 'open'

# Comfort difficulty
shown = [metric(k, 'difficulty') for k in universe if position(own, k) and position(own, k) <= 10 and (metric(k, 'volume') or 0) >= 100 and metric(k, 'difficulty') is not None and not brands(k)]
comfort = sum(shown) / len(shown) if len(shown) >= 10 else 30.0

is_home = lambda u: re.fullmatch(r'https://[^/]+/', u)
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

# Topics join: alike in wording and with a page in common; then those whose primary keywords one page of ours holds
rank_of = {k: i for i, k in enumerate(order)}
taking = [k for k in order if topic[k] == k]
ranking_urls = {k: {(d, u) for d in domains for _, _, u, _ in now[d].get(k, []) if u and not is_home(u)} for k in universe}
size = Counter(page for k in universe for page in ranking_urls[k])
listing = {page for page, n in size.items() if n > 500}
urls_of = {t: set().union(*[ranking_urls[k] - listing for k in universe if topic[k] == t]) for t in taking}
def related(one, other):
    s, o = stems(one), stems(other)
    return len(s) >= 2 and len(o) >= 2 and (s <= o or o <= s or 2 * len(s & o) >= len(s | o))
kept, into = [], {}
for t in taking:
    near = [(-len(urls_of[t] & urls_of[k]), i, k) for i, k in enumerate(kept) if related(t, k) and urls_of[t] & urls_of[k]]
    if near:
        into[t] = min(near)[2]
    else:
        kept.append(t)
first_with = {}
for t in kept:
    ranks = best(now[own], t)
    if ranks and ranks[0] <= 20 and ranks[2] and not is_home(ranks[2]) and (own, ranks[2]) not in listing:
        if ranks[2] in first_with:
            into[t] = first_with[ranks[2]]
        else:
            first_with[ranks[2]] = t
def final(t):
    while t in into:
        t = into[t]
    return t
topic = {k: final(t) for k, t in topic.items()}
names = [t for t in taking if t not in into]

# Whose page is whose: a URL's own topic is the one it earns most for
place_of = {d: {k: {} for k in now[d]} for d in domains}
for d in domains:
    for k, ranks in now[d].items():
        for p, _, u, _ in ranks:
            if u:
                place_of[d][k][u] = min(p, place_of[d][k].get(u, 999))
earned = {}
for d in domains:
    for k, found in place_of[d].items():
        for u, p in found.items():
            if not is_home(u) and (d, u) not in listing:
                sums = earned.setdefault((d, u), {})
                sums[topic[k]] = sums.get(topic[k], 0) + ((metric(k, 'volume') or 0) + 1) * ctr(p)
holders = {(d, min(sums, key=lambda t: (-round(sums[t], 9), rank_of[t]))) for (d, u), sums in earned.items()}
for d in domains:
    near = [r for ranks in now[d].values() for r in ranks if r[0] <= 20]
    if 2 * sum(1 for r in near if r[2]) < len(near):
        holders = {h for h in holders if h[0] != d} | {(d, topic[k]) for k in now[d]}
has_page = lambda d, k: (d, topic[k]) in holders

# Ground: how strong a domain is in the topics that share a word
bearing = {}
for t in names:
    for st in stems(t):
        bearing.setdefault(st, set()).add(t)
members = {}
for k in universe:
    members.setdefault(topic[k], []).append(k)
grounds = {}
def ground_of(d, t):
    if (d, t) not in grounds:
        N = S = 0
        for st in stems(t):
            if len(bearing[st]) <= max(30, .08 * len(names)):
                for o in bearing[st] - {t}:
                    N += len(members[o])
                    S += sum(1 for k in members[o] if (position(d, k) or 999) <= 20)
        grounds[(d, t)] = (S, N)
    return grounds[(d, t)]
def ground(d, keyword):
    S, N = ground_of(d, topic[keyword])
    return min(99, max(1, (200 * (S + 1) + N + 4) // (2 * (N + 4))))
half = lambda k: math.floor(2 * math.log(1 + (metric(k, 'volume') or 0)) + .5) / 2

# Position model: Newton's method on the plain likelihood, P(class) = F(bound) - F(bound before)
BOUNDS = [1, 3, 5, 10, 20, 50, 100]
placed = lambda p: 7 if p is None else next(j for j, c in enumerate(BOUNDS) if p <= c)
use = ['difficulty'] + (['authority'] if all(authority.get(d) is not None for d in domains if dates[d] or d == own) else []) + ['ground', 'volume']
rows = Counter()
for k in universe:
    if metric(k, 'difficulty') is None or brands(k):
        continue
    for d in domains:
        if dates[d] and has_page(d, k):
            rows[(zlib.crc32(k.encode()) % 5, metric(k, 'difficulty'), authority.get(d), ground(d, k), placed(position(d, k)), half(k))] += 1
value = lambda name, row: {'difficulty': row[1], 'authority': row[2], 'ground': math.log(row[3] / (100 - row[3])), 'volume': row[5]}[name]
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
    names, odd = [f for f in use if len({value(f, row) for row in taken}) > 1], []  # noqa
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
        wrong = [f for f in names if (beta[f] > 0 if f in ('difficulty', 'volume') else beta[f] < 0)]
        if not wrong:
            break
        odd += wrong
        names = [f for f in names if f not in wrong]
    shift = sum(beta[f] * scale[f][0] for f in names)
    alpha = []
    for j in range(7):
        below = sum(c <= j for c in classes)
        alpha.append(-math.inf if below == 0 else math.inf if below == len(classes) else alphas[below - 1] - shift)
    return {'rows': n, 'assumed': 0, 'alpha': alpha, 'beta': beta, 'odd': [f for f in ('difficulty', 'authority', 'ground', 'volume') if f in odd]}

model = learn(rows)
def score_of(fit, difficulty, power, g, v):
    return sum(fit['beta'].get(f, 0) * x for f, x in (('difficulty', difficulty), ('authority', power or 0), ('ground', math.log(g / (100 - g))), ('volume', v)) if f in fit['beta'])
def F_at(fit, j, z, shift=0.0):
    z = fit['alpha'][j] + z + shift
    return 0.0 if z == -math.inf else 1.0 if z == math.inf else sigma(z)
def F(t, z, shift=0.0):
    if t == 0:
        return 0.0
    j = next(j for j, c in enumerate(BOUNDS) if t <= c)
    low, before = (F_at(model, j - 1, z, shift), BOUNDS[j - 1]) if j else (0.0, 0)
    return low + (t - before) / (BOUNDS[j] - before) * (F_at(model, j, z, shift) - low)

# New pages of the market, by the history, and what they make of the prior of our own
from datetime import date as day_of
GRID = [-4 + i / 20 for i in range(161)]
market = {}
for d in domains:
    if len(dates[d]) > 1:
        seen = {}
        for day in sorted(dates[d]):
            for k, ranks in snapshots[d][day].items():
                for _, _, u, _ in ranks:
                    if u:
                        seen.setdefault(u, day)
        for u, began in seen.items():
            age = (day_of.fromisoformat(dates[d][0]) - day_of.fromisoformat(began)).days
            if began > min(dates[d]) and 60 <= age <= 240 and not is_home(u) and (d, u) not in listing:
                held = {k for day in dates[d] if day >= began for k, ranks in snapshots[d][day].items() if any(r[2] == u for r in ranks)}
                held = [k for k in held if k in topic and metric(k, 'difficulty') is not None and not brands(k)]
                if held:
                    market[(d, u)] = [(score_of(model, metric(k, 'difficulty'), authority.get(d), ground(d, k), half(k)), placed(place_of[d].get(k, {}).get(u))) for k in held]
def likelihood(shift):
    total = 0.0
    for keywords in market.values():
        part = 0.0
        for z, j in keywords:
            P = (F_at(model, j, z, shift) if j < 7 else 1.0) - (F_at(model, j - 1, z, shift) if j else 0.0)
            part += math.log(max(P, 1e-9))
        total += part / math.sqrt(len(keywords))
    return total
def posterior(mean, sd, logs=lambda shift: 0.0):
    ws = [-(x - mean) ** 2 / (2 * sd ** 2) + logs(x) for x in GRID]
    ws = [math.exp(w - max(ws)) for w in ws]
    m = sum(w * x for w, x in zip(ws, GRID)) / sum(ws)
    return m, math.sqrt(sum(w * (x - m) ** 2 for w, x in zip(ws, GRID)) / sum(ws))
market_shift = posterior(0, 1, likelihood)[0] if market else 0.0
new_mean, new_sd = posterior(market_shift, .7)
old_mean, old_sd = posterior(0, .7)
logit = lambda q: -math.inf if q <= 0 else math.inf if q >= 1 else math.log(q / (1 - q))
def G(t, z, p0, exists):
    if t == 0:
        return 0.0
    if p0 and t >= p0:
        return 1.0
    if not exists:
        return F(t, z, new_mean)
    F0 = F(p0, z) if p0 else 1.0
    q = logit(book['moving_share'] * F(t, z) / F0) if F0 > 0 else -math.inf
    return 0.0 if q == -math.inf else 1.0 if q == math.inf else sigma(q + old_mean)

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
                error += w * (y - F_at(folds[f], j, score_of(folds[f], r[1], r[2], r[3], r[5]))) ** 2
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

DAYS = {'new page': 3, 'extend page': 1.5, 'improve page': 1, 'refresh page': 1.5, 'merge pages': 1, 'test title': .5}
def weighted(expected, worth, wish):
    scores = [(4, score(worth, (2, 10, 40, 150, 600))), (2, score(expected, (2, 10, 40, 150, 600))), (1, {'buy': 5, 'compare': 4, 'learn': 2, 'open': 2}[wish])]
    known = [(w, x) for w, x in scores if x is not None]
    return sum(w * x for w, x in known) / sum(w for w, _ in known)
compare, weigh, fees, extra = [], [], {}, {}
for k in universe:
    ranks = [position(d, k) for d in domains]
    p0, others = ranks[0], [(p, i) for i, p in enumerate(ranks) if i and p]
    top = min(others) if others else None
    standing = ('gap' if top else 'unclaimed') if p0 is None else 'alone' if not top else 'behind' if top[0] < p0 else 'level' if top[0] == p0 else 'ahead'
    old = None if before[own] is None else (best(before[own], k) or [None])[0]
    movement = None if before[own] is None or (old is None and p0 is None) else 'entered' if old is None else 'left' if p0 is None else 'steady' if abs(p0 - old) <= round(book['movement_noise'] * min(p0, old), 9) else 'climbed' if p0 < old else 'slipped'
    url = best(now[own], k)[2] or None if p0 else None
    volume, difficulty, cpc = metric(k, 'volume'), metric(k, 'difficulty'), metric(k, 'cpc')
    compare.append([k, standing, p0, url, rivals[top[1] - 1] if top else None, top[0] if top else None, len(others), len([1 for p, _ in others if p0 is None or p < p0]), volume, difficulty, cpc, movement] + ranks[1:])
    named = brands(k)
    if p0 == 1 or standing == 'unclaimed' or (named and own not in named):
        continue
    wanted = 1 if p0 and p0 <= 5 else 3
    target = max(1, p0 - 1) if p0 and p0 <= wanted else wanted
    seen_features = {f.strip().lower() for d in domains for r in now[d].get(k, []) for f in r[3].split(';') if f.strip()}
    phi = math.prod(book['feature_clicks'].get(f, 1.0) for f in seen_features)
    visits = 0.0 if p0 is None else None if volume is None else volume * phi * ctr(p0)
    gain = None if volume is None else max(0.0, volume * phi * ctr(target) - visits)
    held, earn, exists = ground(own, k), links(k, difficulty, url), has_page(own, k)
    win = expected = reach = None
    if difficulty is not None:
        z = score_of(model, difficulty, authority.get(own), held, half(k))
        F0 = F(p0, z) if p0 else 1.0
        reach = (F(target, z) / F0 if F0 > 0 else 0.0) if p0 else F(10, z, 0.0 if exists else market_shift)
        win = G(target, z, p0, exists)
        if volume is not None:
            rate = ctr(p0) if p0 else 0.0
            expected = volume * phi * sum((G(t, z, p0, exists) - G(t - 1, z, p0, exists)) * (ctr(t) - rate) for t in range(1, p0 or 101))
    near = {u for p, none, u, _ in now[own].get(k, []) if u and p <= 50}
    tactic = 'new page' if not exists else 'merge pages' if len(near) > 1 else 'extend page' if p0 is None or p0 > 50 else 'refresh page' if old and p0 - old >= 3 and movement == 'slipped' else 'improve page'
    with_links = ' + links' if earn and reach is not None and round(reach, 9) < .25 and tactic in ('improve page', 'extend page', 'new page') else ''
    clicks, seen = performance.get(k, (0, 0))
    title = called = None
    if p0 and p0 <= 10 and seen and volume is not None:
        c = phi * ctr(p0)
        title = volume * max(0.0, c - (clicks + 200 * c) / (seen + 200))
        called = seen >= 100 and round(clicks / seen, 9) < round(.7 * c, 9)
    base = (tactic + with_links, target, gain, win, expected, reach)
    shown_as = base
    if called and round(title * book['title_success'] / .5, 9) > round((expected or 0.0) / DAYS[tactic], 9):
        shown_as = ('test title', p0, title, book['title_success'], title * book['title_success'], None if difficulty is None else (1.0 if F(p0, z) > 0 else 0.0))
    extra[k] = (base, title, called, None if difficulty is None or not p0 else (1.0 if F(p0, z) > 0 else 0.0))
    label, target, gain, win, expected, reach = shown_as
    worth = None if expected is None else expected / DAYS[label.replace(' + links', '')]
    wish = intent(k, seen_features)
    priority = weighted(expected, worth, wish)
    horizon = None if difficulty is None else 'quick win' if p0 and 6 <= p0 <= 20 and round(difficulty, 9) <= round(comfort, 9) and gain is not None and round(gain, 9) >= 10 else 'short term' if round(reach, 9) >= .25 else 'long term'
    fees[k] = cpc
    weigh.append([k, standing, p0, target, volume, difficulty, held / 100, visits, None if volume is None else volume * phi * ctr(1), gain, win, expected, priority, horizon, label, earn, wish, topic[k], worth, None])
last = lambda value, sign: (value is None, 0 if value is None else sign * round(value, 9))
weigh.sort(key=lambda r: (0 if r[11] is not None else 1 if r[9] is not None else 2, last(r[12], -1), last(r[9], -1), last(r[5], 1), r[0].encode()))

# A topic is a page: sums over what is open of it, the rest its lead's
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
    work = {r[0]: extra[r[0]][0] for r in rows}
    lead = next((r for r in rows if r[0] == name), None) or min(rows, key=lambda r: (work[r[0]][2] is None, -round(work[r[0]][2] or 0, 9), r[0].encode()))
    volume, visits, potential = (total(r[i] for r in rows) for i in (4, 7, 8))
    gains, expected = total(work[r[0]][2] for r in rows), total(work[r[0]][4] for r in rows)
    label, target, _, win, _, reach = work[lead[0]]
    paid = [(work[r[0]][2], fees[r[0]]) for r in rows if work[r[0]][2] is not None and fees[r[0]] is not None]
    wanted = max(('buy', 'compare', 'learn', 'open'), key=lambda i: round(sum(work[r[0]][2] or 0 for r in rows if r[16] == i), 9) if any(r[16] == i for r in rows) else -1)
    more = min(2, .5 * ((len(rows) - 1) // 10))
    effort = DAYS[label.replace(' + links', '')] + more
    gain = gains
    if extra[lead[0]][2]:
        tested = [extra[r[0]][1] for r in rows if extra[r[0]][1] is not None]
        if round(sum(tested) * book['title_success'] / .5, 9) > round((expected or 0.0) / effort, 9):
            label, target, win, reach, effort = 'test title', lead[2], book['title_success'], extra[lead[0]][3], .5
            gain, expected = sum(tested), sum(tested) * book['title_success']
    horizon = None if lead[5] is None else 'quick win' if lead[2] and 6 <= lead[2] <= 20 and round(lead[5], 9) <= round(comfort, 9) and gain is not None and round(gain, 9) >= 10 else 'short term' if round(reach, 9) >= .25 else 'long term'
    worth = None if expected is None else expected / effort
    priority = weighted(expected, worth, wanted)
    pages_weighed.append([name, lead[0], len(rows), own_page(name), lead[2], target, volume, lead[5], visits, potential, gain, win, expected, priority, horizon, label, effort, worth, lead[15], wanted, None])
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
told_model = [['rows', model['rows']], ['assumed', model['assumed']], ['market_pages', len(market)], ['market_shift', market_shift]]
told_model += [['effect_new', new_mean], ['effect_new_sd', new_sd], ['effect_new_items', 0], ['effect_existing', old_mean], ['effect_existing_sd', old_sd], ['effect_existing_items', 0]]
told_model += [['alpha_%d' % c, spell(x)] for c, x in zip(BOUNDS, model['alpha'])]
told_model += [['beta_' + f, model['beta'].get(f)] for f in ('difficulty', 'authority', 'ground', 'volume')] + [['odd', ','.join(model['odd']) or None]]
for bound in (3, 10, 20):
    told_model += [['brier_%d' % bound, brier[bound][0]], ['brier_%d_base' % bound, brier[bound][1]]]
told_model += [['links_a', a], ['links_b', b], ['links_n', len(pairs)], ['comfort', comfort], ['comfort_n', len(shown)]]
json.dump({'compare': compare, 'weigh': weigh, 'topics': topic, 'pages': pages_weighed, 'plan': planned, 'left_out': left_out, 'forecast': forecast, 'model': told_model}, sys.stdout)
