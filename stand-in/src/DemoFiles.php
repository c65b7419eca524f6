<?php

declare(strict_types=1);

namespace StandIn;

/**
 * Writes the demo market as the files that an analyst would have: rankings per domain and month, a keyword list, figures
 * about the domains, page-one results and our own performance.
 */
final readonly class DemoFiles
{
    public const MONTHS = 12;
    private const PAGE_ONE_KEYWORDS = 400;

    public function __construct(private Market $market, private string $folder, private \DateTimeImmutable $lastMonth)
    {
    }

    /**
     * @return list<array{kind: string, file: string, date: string, domain: ?string, channel: string}> in the order to import them
     */
    public function write(): array
    {
        if (! is_dir($this->folder) && ! mkdir($this->folder, 0o755, true)) {
            throw new \RuntimeException('The folder "'.$this->folder.'" cannot be made.');
        }
        $last = $this->day(self::MONTHS - 1);
        $files = [
            $this->entry('domains', $this->save('domains.csv', $this->domains()), $last),
            $this->entry('keywords', $this->save('keywords.csv', $this->keywords()), $last),
        ];
        for ($month = 0; $month < self::MONTHS; ++$month) {
            foreach ($this->rankings($month) as $host => $rows) {
                $files[] = $this->entry('rankings', $this->save("rankings-{$host}-{$this->day($month)}.csv", $rows), $this->day($month), $host);
            }
        }
        foreach ($this->paid() as $host => $rows) {
            $files[] = $this->entry('rankings', $this->save("paid-{$host}.csv", $rows), $last, $host, 'paid');
        }
        $files[] = $this->entry('results', $this->save('page-one.csv', $this->results()), $last);
        $files[] = $this->entry('performance', $this->save('performance.csv', $this->performance()), $last);

        return $files;
    }

    /** The first day of a month of the demo, 0 being the earliest. */
    public function day(int $month): string
    {
        return $this->lastMonth->modify('first day of this month')->modify('-'.(self::MONTHS - 1 - $month).' months')->format('Y-m-d');
    }

    /** @return array{kind: string, file: string, date: string, domain: ?string, channel: string} */
    private function entry(string $kind, string $file, string $date, ?string $domain = null, string $channel = 'organic'): array
    {
        return ['kind' => $kind, 'file' => $file, 'date' => $date, 'domain' => $domain, 'channel' => $channel];
    }

    /** @return list<list<string|int|float|null>> */
    private function domains(): array
    {
        $rows = [['domain', 'authority', 'referring domains', 'backlinks', 'brand terms']];
        foreach (Market::domains() as $domain) {
            $rows[] = [$domain->host, $domain->authority, $domain->referringDomains, $domain->referringDomains * 9, $domain->name];
        }

        return $rows;
    }

    /** @return list<list<string|int|float|null>> */
    private function keywords(): array
    {
        $rows = [['keyword', 'volume', 'difficulty', 'cpc', 'advertiser competition', ...array_map(static fn(int $month): string => 'm'.$month, range(1, 12))]];
        foreach ($this->market->keywords() as $keyword) {
            $rows[] = [$keyword->text, $keyword->volume, $keyword->difficulty, $keyword->cpc, $keyword->advertiserCompetition, ...$keyword->monthly];
        }

        return $rows;
    }

    /** @return array<string, list<list<string|int|float|null>>> host → rows */
    private function rankings(int $month): array
    {
        $files = [];
        foreach (Market::domains() as $domain) {
            $files[$domain->host] = [['keyword', 'position', 'url', 'search volume']];
        }
        foreach ($this->market->keywords() as $keyword) {
            foreach ($this->market->positions($keyword, $month) as $host => $ranking) {
                $files[$host][] = [$keyword->text, $ranking['position'], $ranking['url'], $keyword->volume];
                $second = $this->secondPage($host, $keyword, $ranking['position']);
                if ($second !== null) {
                    $files[$host][] = $second;
                }
            }
        }

        return $files;
    }

    /**
     * Some things are served by two pages of one site, which then stand in each other's way.
     *
     * @return ?list<string|int|float|null>
     */
    private function secondPage(string $host, MarketKeyword $keyword, int $position): ?array
    {
        if ($keyword->brandOf !== '' || crc32($host.$keyword->thing) % 11 !== 0 || crc32($host.$keyword->text) % 3 !== 0) {
            return null;
        }

        return [$keyword->text, $position + 6 + crc32($keyword->text) % 9, 'https://'.$host.'/journal/'.str_replace(' ', '-', $keyword->thing), $keyword->volume];
    }

    /** @return array<string, list<list<string|int|float|null>>> host → rows */
    private function paid(): array
    {
        $files = [];
        foreach ($this->market->keywords() as $keyword) {
            foreach (Market::domains() as $domain) {
                $draw = crc32('paid '.$domain->host.$keyword->text) % 100;
                if ($keyword->cpc !== null && $keyword->page === 'shop' && $draw < 9 && $domain->authority > 30) {
                    $files[$domain->host] ??= [['keyword', 'position', 'url']];
                    $files[$domain->host][] = [$keyword->text, 1 + $draw % 4, Market::url($domain->host, $keyword)];
                }
            }
        }

        return $files;
    }

    /** @return list<list<string|int|float|null>> */
    private function results(): array
    {
        $rows = [['keyword', 'position', 'url', 'authority', 'page strength', 'referring domains', 'title']];
        $keywords = $this->market->keywords();
        usort($keywords, static fn(MarketKeyword $a, MarketKeyword $b): int => $b->volume <=> $a->volume ?: strcmp($a->text, $b->text));
        foreach (\array_slice($keywords, 0, self::PAGE_ONE_KEYWORDS) as $keyword) {
            array_push($rows, ...$this->pageOne($keyword));
        }

        return $rows;
    }

    /** @return list<list<string|int|float|null>> */
    private function pageOne(MarketKeyword $keyword): array
    {
        $rows = [];
        $ranked = array_column(array_map(static fn(string $host, array $at): array => [$at['position'], [$host, $at['url']]], array_keys($this->market->positions($keyword, self::MONTHS - 1)), $this->market->positions($keyword, self::MONTHS - 1)), 1, 0);
        $authorities = array_column(array_map(static fn(MarketDomain $domain): array => [$domain->host, $domain->authority], Market::domains()), 1, 0);
        for ($position = 1; $position <= 10; ++$position) {
            $number = 1 + crc32($keyword->thing.$position) % 60;
            [$host, $url] = $ranked[$position] ?? ["hedgerow-{$number}.example", "https://hedgerow-{$number}.example/".str_replace(' ', '-', $keyword->thing)];
            $authority = $authorities[$host] ?? 8 + $number;
            $links = (int) round(max(0, exp(.055 * $keyword->difficulty) * (.4 + (crc32($url.$keyword->text) % 100) / 70) - 1));
            $rows[] = [$keyword->text, $position, $url, $authority, min(100, (int) round(.45 * $authority + 6 * log(1 + $links))), $links, ucfirst($keyword->thing)];
        }

        return $rows;
    }

    /** @return list<list<string|int|float|null>> */
    private function performance(): array
    {
        $rows = [['query', 'page', 'clicks', 'impressions', 'position']];
        $own = Market::domains()[0]->host;
        foreach ($this->market->keywords() as $keyword) {
            $ranking = $this->market->positions($keyword, self::MONTHS - 1)[$own] ?? null;
            if ($ranking !== null && $ranking['position'] <= 40 && $keyword->volume > 0) {
                $seen = (int) round($keyword->volume * ($ranking['position'] <= 10 ? .95 : .3));
                $rate = Market::hiddenCtr($ranking['position']) * (crc32($keyword->thing) % 9 === 0 ? .45 : 1);
                $rows[] = [$keyword->text, $ranking['url'], min($seen, (int) round($seen * $rate)), $seen, round($ranking['position'] + (crc32($keyword->text) % 9 - 4) / 10, 1)];
            }
        }

        return $rows;
    }

    /** @param list<list<string|int|float|null>> $rows */
    private function save(string $name, array $rows): string
    {
        $path = $this->folder.'/'.$name;
        $file = fopen($path, 'wb') ?: throw new \RuntimeException('The file "'.$path.'" cannot be written.');
        foreach ($rows as $row) {
            fputcsv($file, $row, ',', '"', '', "\r\n");
        }
        fclose($file);

        return $path;
    }
}
