<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Snapshot;
use App\Support\Database\RowStream;
use GreaterReach\Core\Pages\PageIndex;
use GreaterReach\Core\Site\UrlKey;
use GreaterReach\Core\Winning\MarketPages;
use Illuminate\Support\Facades\DB;

/** Pages of the compared domains that were new some months ago, by the history of snapshots, and where they rank now. */
final class NewPages
{
    /** @var array<string, list<array{int, string, ?int}>> keyword → domain, page, its position now; null where it is gone */
    private array $byKeyword = [];

    public static function of(ComparedSnapshots $snapshots): self
    {
        $pages = new self();
        foreach ($snapshots->current as $domain => $snapshot) {
            $first = $snapshot === null ? null : self::firstDay($snapshot);
            if ($snapshot !== null && $first !== null && $first < $snapshot->day->subDays(MarketPages::YOUNGEST)->toDateString()) {
                $pages->add($domain, $snapshot, $first);
            }
        }

        return $pages;
    }

    /** @return list<array{int, string, ?int}> domain, page, its position now; null where it is gone */
    public function at(string $keyword): array
    {
        return $this->byKeyword[$keyword] ?? [];
    }

    private static function firstDay(Snapshot $snapshot): ?string
    {
        $day = DB::table('live_snapshots')->where('domain_id', $snapshot->domain_id)->where('channel', $snapshot->channel)->min('day');

        return \is_string($day) ? $day : null;
    }

    private function add(int $domain, Snapshot $snapshot, string $first): void
    {
        $found = [];
        foreach (self::rows($snapshot, $first) as [$url, $keyword, $now]) {
            $found[$url][$keyword] = $now;
        }
        foreach ($found as $url => $keywords) {
            $ranking = array_filter($keywords, static fn(?int $now): bool => $now !== null);
            if (! UrlKey::isHomePage((string) $url) && \count($ranking) <= PageIndex::LISTING) {
                foreach ($keywords as $keyword => $now) {
                    $this->byKeyword[(string) $keyword][] = [$domain, (string) $url, $now];
                }
            }
        }
    }

    /** @return iterable<array{string, string, ?int}> page, keyword, position now */
    private static function rows(Snapshot $snapshot, string $first): iterable
    {
        $used = $snapshot->day->toDateString();

        /** @var iterable<array{string, string, ?int}> */
        return RowStream::of(
            <<<'SQL'
                WITH seen AS (
                    SELECT s.id, s.day FROM live_snapshots s WHERE s.study_id = ? AND s.domain_id = ? AND s.channel = ? AND s.day <= ?
                ), fresh AS (
                    SELECT r.url FROM seen s JOIN rankings r ON r.study_id = ? AND r.snapshot_id = s.id WHERE r.url IS NOT NULL
                    GROUP BY r.url HAVING min(s.day) > ? AND min(s.day) BETWEEN ? AND ?
                )
                SELECT r.url, r.keyword, min(r.position) FILTER (WHERE s.id = ?)
                FROM seen s JOIN rankings r ON r.study_id = ? AND r.snapshot_id = s.id JOIN fresh f ON f.url = r.url
                GROUP BY r.url, r.keyword ORDER BY r.url, r.keyword
                SQL,
            [
                $snapshot->study_id, $snapshot->domain_id, $snapshot->channel, $used, $snapshot->study_id, $first,
                $snapshot->day->subDays(MarketPages::OLDEST)->toDateString(),
                $snapshot->day->subDays(MarketPages::YOUNGEST)->toDateString(),
                $snapshot->id, $snapshot->study_id,
            ],
        );
    }
}
