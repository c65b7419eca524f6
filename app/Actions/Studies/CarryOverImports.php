<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Domains\ChooseDomainFigures;
use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/**
 * Gives a domain that was written again with another scope what was imported for it under the earlier one: its lists as far as they
 * lie inside the new scope, its figures, its brand terms and, where it is ours, its roadmap. The earlier one keeps its lists.
 */
final readonly class CarryOverImports
{
    /** Addresses that are held against the scope at once. */
    private const ADDRESSES = 5000;

    private const COPIED_RANKINGS = <<<'SQL'
        INSERT INTO rankings (study_id, snapshot_id, keyword, ordinal, position, url, features)
        SELECT study_id, ?::bigint, keyword, row_number() OVER (PARTITION BY keyword ORDER BY ordinal), position, url, features
        FROM rankings WHERE study_id = ? AND snapshot_id = ?
            AND (url IS NULL OR url IN (SELECT url FROM pg_temp.covered))
        SQL;

    private const COPIED_SOURCE = <<<'SQL'
        INSERT INTO sources (study_id, import_id, snapshot_id, domain_id, kind, channel, day)
        SELECT study_id, import_id, ?::bigint, ?::bigint, kind, channel, day FROM sources WHERE id = ? RETURNING id
        SQL;

    private const COPIED_METRICS = <<<'SQL'
        INSERT INTO metrics (study_id, source_id, keyword, volume, difficulty, cpc, advertiser_competition, monthly)
        SELECT m.study_id, ?::bigint, m.keyword, m.volume, m.difficulty, m.cpc, m.advertiser_competition, m.monthly
        FROM metrics m JOIN rankings r ON r.study_id = m.study_id AND r.keyword = m.keyword AND r.snapshot_id = ? AND r.ordinal = 1
        WHERE m.study_id = ? AND m.source_id = ?
        SQL;

    private const MOVED_ITEMS = <<<'SQL'
        UPDATE plan_items moved SET domain_id = ? WHERE domain_id = ? AND NOT EXISTS (
            SELECT FROM plan_items there WHERE there.domain_id = ? AND there.unit = moved.unit AND there.name = moved.name
        )
        SQL;

    public function __construct(private PublicSuffixList $suffixes, private ChooseDomainFigures $choose)
    {
    }

    /**
     * @param Domain $from compared until now
     * @param Domain $to   compared from now on
     *
     * @return ?string what was taken over, in words; null where the two share no page or nothing is new
     */
    public function execute(Study $study, Domain $from, Domain $to): ?string
    {
        [$old, $new] = [$from->toEntry($this->suffixes), $to->toEntry($this->suffixes)];
        if (! $new->contains($old) && ! $old->contains($new)) {
            return null;
        }
        $lists = $this->missing($from, $to);
        if ($lists !== []) {
            $this->gatherCovered($study, $new, array_map(static fn(Snapshot $list): int => $list->id, $lists));
        }
        foreach ($lists as $list) {
            $this->copy($list, $to);
        }
        $this->takeFacts($study, $from, $to);

        return $lists === [] ? null : self::say(\count($lists), $old, $new);
    }

    private static function say(int $lists, DomainEntry $old, DomainEntry $new): string
    {
        $many = $lists === 1 ? '1 list' : $lists.' lists';
        $limit = match (true) {
            $old->contains($new) && $new->contains($old) => '.',
            $new->contains($old) => sprintf(', only what is inside "%s". Import the files again for the rest.', $old->label),
            default => sprintf(', without what is outside "%s".', $new->label),
        };

        return sprintf('Copied from "%s" to "%s": %s%s', $old->label, $new->label, $many, $limit);
    }

    /** @return list<Snapshot> of the earlier scope, where the new one has none of that channel and day */
    private function missing(Domain $from, Domain $to): array
    {
        $has = Snapshot::query()->where('domain_id', $to->id)->get()->map(self::keyOf(...))->all();
        $lists = Snapshot::query()->where('domain_id', $from->id)->orderBy('id')->get()->all();

        return array_values(array_filter($lists, static fn(Snapshot $list): bool => ! \in_array(self::keyOf($list), $has, true)));
    }

    private static function keyOf(Snapshot $list): string
    {
        return $list->channel.' '.$list->day->toDateString();
    }

    /** @param list<int> $lists ids */
    private function gatherCovered(Study $study, DomainEntry $scope, array $lists): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.covered');
        DB::statement('CREATE TEMPORARY TABLE covered (url text COLLATE "C") ON COMMIT DROP');
        /** @var list<string> $urls */
        $urls = DB::table('rankings')
            ->where('study_id', $study->id)
            ->whereIn('snapshot_id', $lists)
            ->whereNotNull('url')
            ->distinct()
            ->pluck('url')
            ->all();
        foreach (array_chunk(array_filter($urls, $scope->covers(...)), self::ADDRESSES) as $chunk) {
            DB::table('pg_temp.covered')->insert(array_map(static fn(string $url): array => ['url' => $url], $chunk));
        }
    }

    private function copy(Snapshot $list, Domain $to): void
    {
        $copy = $list->replicate()->fill(['domain_id' => $to->id, 'keywords' => 0, 'rankings' => 0]);
        $copy->save();
        $copy->rankings = DB::affectingStatement(self::COPIED_RANKINGS, [$copy->id, $list->study_id, $list->id]);
        $copy->keywords = DB::table('rankings')
            ->where('study_id', $list->study_id)
            ->where('snapshot_id', $copy->id)
            ->where('ordinal', 1)
            ->count();
        $copy->save();
        foreach (DB::table('sources')->where('snapshot_id', $list->id)->orderBy('id')->pluck('id')->all() as $source) {
            $id = DB::scalar(self::COPIED_SOURCE, [$copy->id, $to->id, $source]);
            DB::insert(self::COPIED_METRICS, [$id, $copy->id, $list->study_id, $source]);
        }
    }

    /** What was said of the domain, and what was planned for it. */
    private function takeFacts(Study $study, Domain $from, Domain $to): void
    {
        if (DomainFigure::query()->where('domain_id', $to->id)->doesntExist()) {
            foreach (DomainFigure::query()->where('domain_id', $from->id)->orderBy('id')->get() as $figure) {
                $figure->replicate()->fill(['domain_id' => $to->id])->save();
            }
            $this->choose->execute($study, [$to->id]);
        }
        if ($to->refresh()->brand_terms === []) {
            $to->update(['brand_terms' => $from->brand_terms]);
        }
        if ($to->role === Domain::OWN && $from->role === Domain::OWN) {
            DB::update(self::MOVED_ITEMS, [$to->id, $from->id, $to->id]);
        }
    }
}
