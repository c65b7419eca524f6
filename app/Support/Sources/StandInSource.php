<?php

declare(strict_types=1);

namespace App\Support\Sources;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Sleep;

/** The simulated provider that ships with the application, asked over HTTP as a real one would be. */
final class StandInSource implements RankingSource, PublishingRecord
{
    private const NAME = 'stand-in';
    private const TRIES = 5;
    private const TOO_MANY = 429;
    private const LONGEST_WAIT = 30;

    /**
     * @param int $patience      seconds without a word after which it is taken for lost; a slow machine may need many of them for an answer
     * @param int $longestAnswer seconds that one answer may take in all
     */
    public function __construct(
        private readonly string $url,
        private readonly string $key,
        private readonly int $patience,
        private readonly int $longestAnswer,
    ) {
    }

    public function days(SourceMarket $market): array
    {
        $days = $this->get('days', $market->toQuery())->json('days');

        return \is_array($days) ? array_values(array_filter($days, is_string(...))) : throw SourceProblem::garbled(self::NAME);
    }

    public function rankings(SourceMarket $market, string $host, string $day, string $channel, int $page): SourcePage
    {
        return $this->pageOf("domains/{$host}/rankings", [...$market->toQuery(), 'date' => $day, 'channel' => $channel, 'page' => $page]);
    }

    public function domain(string $host): ?array
    {
        $answer = $this->get("domains/{$host}", [], [404]);
        $figures = $answer->json();

        return $answer->status() === 404
            ? null
            : (\is_array($figures) ? self::figures($figures) : throw SourceProblem::garbled(self::NAME));
    }

    public function metrics(SourceMarket $market, array $keywords): array
    {
        return $this->rows($this->send('POST', 'metrics?'.http_build_query($market->toQuery()), ['json' => ['keywords' => $keywords]]));
    }

    public function results(SourceMarket $market, array $keywords, string $day): array
    {
        return $this->rows(
            $this->send('POST', 'results?'.http_build_query([...$market->toQuery(), 'date' => $day]), [
                'json' => ['keywords' => $keywords],
            ]),
        );
    }

    public function performance(SourceMarket $market, string $host, string $day, int $page): SourcePage
    {
        return $this->pageOf("domains/{$host}/performance", [...$market->toQuery(), 'date' => $day, 'page' => $page]);
    }

    public function links(SourceMarket $market, string $host, string $day, int $page): SourcePage
    {
        return $this->pageOf("domains/{$host}/links", [...$market->toQuery(), 'date' => $day, 'page' => $page]);
    }

    public function pages(SourceMarket $market, string $host, string $day, int $page): SourcePage
    {
        return $this->pageOf("domains/{$host}/pages", [...$market->toQuery(), 'date' => $day, 'page' => $page]);
    }

    public function pageLinks(SourceMarket $market, string $host, string $day, int $page): SourcePage
    {
        return $this->pageOf("domains/{$host}/page-links", [...$market->toQuery(), 'date' => $day, 'page' => $page]);
    }

    public function related(SourceMarket $market, string $keyword): array
    {
        return array_map(static fn(array $row): array => [
            'keyword' => (string) $row['keyword'],
            'volume' => $row['volume'] === null ? null : (int) $row['volume'],
            'difficulty' => $row['difficulty'] === null ? null : (float) $row['difficulty'],
            'is_question' => (bool) $row['is_question'],
        ], $this->rows($this->get('related', [...$market->toQuery(), 'keyword' => $keyword])));
    }

    public function competitors(SourceMarket $market, string $host): array
    {
        $answer = $this->get("domains/{$host}/competitors", $market->toQuery(), [404]);

        return $answer->status() === 404 ? [] : array_map(static fn(array $row): array => [
            'domain' => (string) $row['domain'],
            'common' => (int) $row['common'],
            'theirs' => (int) $row['theirs'],
            'ours' => (int) $row['ours'],
            'authority' => $row['authority'] === null ? null : (float) $row['authority'],
            'referring_domains' => $row['referring_domains'] === null ? null : (int) $row['referring_domains'],
        ], $this->rows($answer));
    }

    public function publications(string $host, string $day): array
    {
        return array_map(static fn(array $row): array => [
            'day' => (string) $row['day'],
            'keyword' => (string) $row['keyword'],
            'url' => (string) $row['url'],
        ], $this->pageOf("domains/{$host}/publications", ['date' => $day])->rows);
    }

    public function page(string $url): ?string
    {
        $answer = $this->get('page', ['url' => $url], [404]);

        return $answer->status() === 404 ? null : $answer->body();
    }

    public function mostKeywords(): int
    {
        return 1000;
    }

    /** @param array<string, string|int> $query */
    private function pageOf(string $path, array $query): SourcePage
    {
        $answer = $this->get($path, $query, [404]);
        if ($answer->status() === 404) {
            return new SourcePage([], null);
        }
        $next = $answer->header('X-Next-Page');

        return new SourcePage($this->rows($answer), ctype_digit($next) ? (int) $next : null);
    }

    /**
     * @param array<string, string|int> $query
     * @param list<int>                 $allowed statuses beside 200 that are an answer
     */
    private function get(string $path, array $query, array $allowed = []): Response
    {
        return $this->send('GET', $path, ['query' => $query], $allowed);
    }

    /**
     * Tries again with growing pauses where it may help, and waits as long as the source asks for.
     *
     * @param array<string, mixed> $options
     * @param list<int>            $allowed
     *
     * @throws SourceProblem
     */
    private function send(string $method, string $path, array $options, array $allowed = []): Response
    {
        for ($try = 1;; ++$try) {
            $answer = $this->attempt($method, $path, $options);
            if ($answer !== null && ($answer->ok() || \in_array($answer->status(), $allowed, true))) {
                return $answer;
            }
            $wait = self::wait($answer, $try);
            if ($try === self::TRIES || $wait === null || $wait > self::LONGEST_WAIT) {
                throw self::problem($answer, $wait ?? 0);
            }
            Sleep::for($wait)->seconds();
        }
    }

    /** @param array<string, mixed> $options */
    private function attempt(string $method, string $path, array $options): ?Response
    {
        try {
            return Http::withToken($this->key)
                ->timeout($this->longestAnswer)
                ->connectTimeout($this->patience)
                ->withOptions([
                    'allow_redirects' => false,
                    'curl' => [CURLOPT_LOW_SPEED_LIMIT => 1, CURLOPT_LOW_SPEED_TIME => $this->patience],
                ])
                ->send($method, rtrim($this->url, '/').'/v1/'.$path, $options);
        } catch (ConnectionException) {
            return null;
        }
    }

    /** @return ?int seconds until another try makes sense, null when it makes none */
    private static function wait(?Response $answer, int $try): ?int
    {
        return match (true) {
            $answer === null, $answer->serverError() => 1 << ($try - 1),
            $answer->status() === self::TOO_MANY => max(1, (int) $answer->header('Retry-After')),
            default => null,
        };
    }

    private static function problem(?Response $answer, int $wait): SourceProblem
    {
        return match (true) {
            $answer === null, $answer->serverError() => SourceProblem::unreachable(self::NAME),
            $answer->status() === self::TOO_MANY => SourceProblem::busy(self::NAME, $wait),
            default => SourceProblem::refused(
                self::NAME,
                $answer->status(),
                \is_string($answer->json('error')) ? $answer->json('error') : '',
            ),
        };
    }

    /** @return list<array<string, string|int|float|null>> */
    private function rows(Response $answer): array
    {
        $rows = [];
        foreach (explode("\n", trim($answer->body())) as $line) {
            $row = json_decode($line, true);
            if ($line !== '') {
                $rows[] = \is_array($row) ? self::figures($row) : throw SourceProblem::garbled(self::NAME);
            }
        }

        return $rows;
    }

    /**
     * @param array<mixed> $said
     *
     * @return array<string, string|int|float|null> what is not a field of one figure or text is left out
     */
    private static function figures(array $said): array
    {
        $figures = [];
        foreach ($said as $field => $value) {
            if (\is_string($field) && ($value === null || \is_string($value) || \is_int($value) || \is_float($value))) {
                $figures[$field] = $value;
            }
        }

        return $figures;
    }
}
