<?php

declare(strict_types=1);

namespace StandIn;

/**
 * The HTTP face of the made-up market, as a data provider would have one: a key, rate limits, pages of rows. It can be
 * told to misbehave, which the tests use.
 */
final readonly class Service
{
    private const PAGE = 5000;
    private const MOST_KEYWORDS = 1000;
    private const SLOW_SECONDS = 3;

    public function __construct(
        private MarketData $data,
        private string $key,
        private Throttle $throttle,
        private Misbehaviour $misbehaviour,
        private string $today,
    ) {
    }

    /**
     * @param array<string, mixed> $query
     *
     * @return ?Answer null when the connection is to be cut half-way
     */
    public function answer(string $method, string $path, array $query, string $authorization, string $body): ?Answer
    {
        if (! hash_equals('Bearer '.$this->key, $authorization)) {
            return Answer::problem(401, 'The key is missing or wrong.');
        }
        if ($path === '/v1/misbehave' && $method === 'POST') {
            $this->misbehaviour->plan(Misbehaviour::known(self::texts($body, 'plan')));

            return Answer::json(['ok' => true]);
        }

        [$step, $seconds] = [...explode(' ', $this->misbehaviour->next()), '2'];

        return match ($step) {
            '429' => new Answer(429, "{}\n", ['Retry-After' => $seconds]),
            '500' => Answer::problem(500, 'Told to fail.'),
            'cut' => null,
            'slow' => $this->slowly(fn(): Answer => $this->route($method, $path, $query, $body)),
            default => $this->throttle->allows(time())
                ? $this->route($method, $path, $query, $body)
                : new Answer(429, "{}\n", ['Retry-After' => '1']),
        };
    }

    /** @param array<string, mixed> $query */
    private function route(string $method, string $path, array $query, string $body): Answer
    {
        $ofDomain = '#^/v1/domains/([a-z0-9.-]+)(?:/(rankings|competitors|performance|links|publications|pages|page-links))?$#D';
        if (preg_match($ofDomain, $path, $part) === 1 && $method === 'GET') {
            return $this->data->domain($part[1]) === null
                ? Answer::problem(404, 'This domain is not known here.')
                : $this->ofDomain($part[1], $part[2] ?? '', $query);
        }

        return match ($method.' '.$path) {
            'GET /v1/days' => Answer::json(['days' => Calendar::days($this->today)]),
            'POST /v1/metrics' => $this->ofKeywords($body, fn(array $keywords): array => $this->data->metrics($keywords)),
            'POST /v1/results' => $this->ofKeywords(
                $body,
                fn(array $keywords): array => $this->data->results($keywords, self::month($query, $this->today)),
            ),
            'GET /v1/related' => Answer::page($this->data->related(self::text($query, 'keyword')), 1, self::MOST_KEYWORDS),
            'GET /v1/page' => $this->page(self::text($query, 'url')),
            default => Answer::problem(404, 'There is nothing at this address.'),
        };
    }

    /** @param array<string, mixed> $query */
    private function ofDomain(string $host, string $what, array $query): Answer
    {
        $month = self::month($query, $this->today);
        $page = max(1, (int) self::text($query, 'page'));

        return match ($what) {
            'rankings' => Answer::page(
                self::text($query, 'channel') === 'paid' ? $this->data->paid($host) : $this->data->rankings($host, $month),
                $page,
                self::PAGE,
            ),
            'competitors' => Answer::page($this->data->competitors($host, $month), $page, self::PAGE),
            'performance' => Answer::page($this->data->performance($host, $month), $page, self::PAGE),
            'links' => Answer::page($this->data->links($host, $month), $page, self::PAGE),
            'pages' => Answer::page($this->data->pages($host, $month), $page, self::PAGE),
            'page-links' => Answer::page($this->data->pageLinks($host, $month), $page, self::PAGE),
            'publications' => Answer::page($this->data->publications($host, $month), $page, self::PAGE),
            default => $this->figures($host),
        };
    }

    private function figures(string $host): Answer
    {
        $domain = $this->data->domain($host);

        return Answer::json([
            'domain' => $host,
            'authority' => $domain?->authority,
            'referring_domains' => $domain?->referringDomains,
            'backlinks' => 9 * ($domain->referringDomains ?? 0),
            'brand_terms' => $domain?->name,
        ]);
    }

    /** @param \Closure(list<string>): list<array<string, mixed>> $rows */
    private function ofKeywords(string $body, \Closure $rows): Answer
    {
        $keywords = self::texts($body, 'keywords');

        return \count($keywords) > self::MOST_KEYWORDS
            ? Answer::problem(422, 'At most 1,000 keywords at once.')
            : Answer::page($rows($keywords), 1, 10 * self::MOST_KEYWORDS);
    }

    private function page(string $url): Answer
    {
        $html = $this->data->page($url);

        return $html === null
            ? Answer::problem(404, 'There is no such page.')
            : new Answer(200, $html, ['Content-Type' => 'text/html; charset=utf-8']);
    }

    /** @param \Closure(): Answer $answer */
    private function slowly(\Closure $answer): Answer
    {
        sleep(self::SLOW_SECONDS);

        return $answer();
    }

    /** @param array<string, mixed> $query */
    private static function month(array $query, string $today): int
    {
        $date = self::text($query, 'date');

        return Calendar::month($date === '' ? $today : min($date, $today));
    }

    /** @param array<string, mixed> $query */
    private static function text(array $query, string $name): string
    {
        return \is_string($query[$name] ?? null) ? $query[$name] : '';
    }

    /** @return list<string> */
    private static function texts(string $body, string $name): array
    {
        $sent = json_decode($body, true);
        $texts = \is_array($sent) ? $sent[$name] ?? [] : [];

        return \is_array($texts) ? array_values(array_filter($texts, is_string(...))) : [];
    }
}
