<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Bench\PageOneQuery;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use GreaterReach\Core\Meaning\FunnelStage;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\LeadingPages;
use GreaterReach\Core\Winning\LinkProspect;
use Illuminate\Support\Facades\DB;

/**
 * The brief for a writer: primary and secondary keywords, what leads, the pages to beat with what they cover, questions to answer.
 *
 * @phpstan-import-type ShownResult from PageOneQuery
 * @phpstan-type BriefItem array{id: int, unit: string, name: string, lead: string, tactic: string, status: string, month: ?string,
 *     owner: string, due: ?string, links_to_earn: ?int, effort_days: float, published_url: ?string, writer_note: ?string}
 * @phpstan-import-type PageWork from PageWorkQuery
 * @phpstan-type BriefKeyword array{keyword: string, is_lead: bool, volume: ?int, own_position: ?int, own_url: ?string, potential: ?float}
 * @phpstan-type Rival array{url: string, is_chosen: bool, headings: list<string>}
 * @phpstan-type Prospect array{domain: string, authority: ?float, pages: list<string>}
 * @phpstan-type Brief array{item: BriefItem, topic: ?string, intent: ?string, stage: ?string, our_page: ?string, our_position: ?int,
 *     target: ?int, gain: ?float, keywords: list<BriefKeyword>, traffic_leader: string, page_one: list<ShownResult>,
 *     page_one_intents: list<array{intent: string, titles: int}>, rivals: list<Rival>, work: ?PageWork,
 *     prospects: list<Prospect>, questions: list<string>, publish_by: ?string, written: object}
 */
final readonly class BriefQuery
{
    private const RIVALS = 3;
    private const KEYWORDS = 60;
    private const PROSPECTS = 20;

    public function __construct(
        private PageOneQuery $pageOne,
        private CompetitorPagesQuery $others,
        private PublicSuffixList $suffixes,
        private LinkProspectsQuery $prospects,
        private PageWorkQuery $work,
    ) {
    }

    /** @return Brief */
    public function execute(Study $study, PlanItem $item): array
    {
        $comparison = $study->comparison;
        $facts = PlanFacts::about($study, $item);
        $ofItem = $facts->at($item);
        $tactic = $item->tacticOfPage();
        $weighed = $ofItem->weighed;
        $lead = $weighed->lead->keyword ?? $item->lead;
        $results = $comparison === null ? [] : $this->pageOne->ofKeyword($comparison, $lead);
        $keywords = self::keywords($ofItem, $lead);
        $rivals = $this->rivals($study, $item, array_column($results, 'url'));

        return [
            'item' => self::item($item, $lead),
            'topic' => $ofItem->topic,
            'intent' => $weighed?->intent->value,
            'stage' => FunnelStage::of(self::saidStage($study, $lead), $weighed?->intent)?->value,
            'our_page' => $weighed?->ownUrl,
            'our_position' => $weighed?->lead->ownPosition,
            'target' => $weighed?->work->target,
            'gain' => $weighed?->work->gain,
            'keywords' => $keywords,
            'traffic_leader' => $keywords[0]['keyword'] ?? $lead,
            'page_one' => $results,
            'page_one_intents' => self::pageOneIntents($study, array_column($results, 'title')),
            'rivals' => $rivals,
            'work' => $comparison === null
                ? null
                : $this->work->execute($study, $comparison, $item, $ofItem, array_column($rivals, 'headings')),
            'prospects' => $comparison === null || $ofItem->topic === null
                ? []
                : $this->prospects($study, $comparison, $ofItem->topic, array_column($results, 'url')),
            'questions' => $this->others->questions($study, $lead),
            'publish_by' => $tactic === null
                ? null
                : $ofItem->season()->publishBy(PlanSchedule::agreed($study)->start, $facts->effort()->ramp($tactic))?->__toString(),
            'written' => (object) $item->brief,
        ];
    }

    private static function saidStage(Study $study, string $keyword): ?FunnelStage
    {
        return FunnelStage::tryFrom((string) Figures::text(
            DB::table('decisions')->where('study_id', $study->id)->where('keyword', $keyword)->value('stage'),
        ));
    }

    /**
     * What the titles on page one answer, by the words that tell an intent.
     *
     * @param list<?string> $titles
     *
     * @return list<array{intent: string, titles: int}> the most first
     */
    private static function pageOneIntents(Study $study, array $titles): array
    {
        $rules = $study->rulebook()->weighing()->intents;
        $counts = array_count_values(array_map(
            static fn(string $title): string => $rules->intentOf(mb_strtolower($title, 'UTF-8'))->value,
            array_filter($titles, static fn(?string $title): bool => $title !== null && $title !== ''),
        ));
        arsort($counts);

        return array_map(
            static fn(string $intent, int $titles): array => ['intent' => $intent, 'titles' => $titles],
            array_keys($counts),
            $counts,
        );
    }

    /** @return BriefItem */
    private static function item(PlanItem $item, string $lead): array
    {
        return [
            'id' => $item->id,
            'unit' => $item->unit->value,
            'name' => $item->name,
            'lead' => $lead,
            'tactic' => $item->tactic,
            'status' => $item->status,
            'month' => $item->month,
            'owner' => $item->owner,
            'due' => $item->due?->toDateString(),
            'links_to_earn' => $item->links_to_earn,
            'effort_days' => $item->effort_days,
            'published_url' => $item->published_url,
            'writer_note' => $item->writer_note,
        ];
    }

    /** @return list<BriefKeyword> that count in the item, those that could bring most first */
    private static function keywords(ItemFacts $facts, string $lead): array
    {
        $rows = $facts->open;
        usort($rows, static fn(WeighedRow $one, WeighedRow $other): int => [$other->potential ?? -1.0, $one->keyword]
            <=> [$one->potential ?? -1.0, $other->keyword]);

        return array_map(static fn(WeighedRow $row): array => [
            'keyword' => $row->keyword,
            'is_lead' => $row->keyword === $lead,
            'volume' => $row->volume,
            'own_position' => $row->ownPosition,
            'own_url' => $row->ownUrl,
            'potential' => $row->potential,
        ], \array_slice($rows, 0, self::KEYWORDS));
    }

    /**
     * The pages that a person chose, or else the first of page one that the source has; never ours.
     *
     * @param list<string> $pageOne
     *
     * @return list<Rival> with what they cover, as far as the source has them
     */
    private function rivals(Study $study, PlanItem $item, array $pageOne): array
    {
        $chosen = ChosenPages::of($item);
        $rivals = [];
        foreach (LeadingPages::of($chosen === [] ? $pageOne : $chosen, $study->ownDomain()->toEntry($this->suffixes)) as $url) {
            $headings = $this->others->headings($url);
            if ($headings !== null || $chosen !== []) {
                $rivals[] = ['url' => $url, 'is_chosen' => $chosen !== [], 'headings' => $headings ?? []];
            }
            if (\count($rivals) === ($chosen === [] ? self::RIVALS : ChosenPages::MOST)) {
                break;
            }
        }

        return $rivals;
    }

    /**
     * @param list<string> $pageOne
     *
     * @return list<Prospect> the most useful of those who could be asked for a link
     */
    private function prospects(Study $study, Comparison $comparison, string $topic, array $pageOne): array
    {
        $found = \array_slice($this->prospects->execute($study, $comparison, $topic, $pageOne), 0, self::PROSPECTS);

        return array_map(
            static fn(LinkProspect $one): array => ['domain' => $one->domain, 'authority' => $one->authority, 'pages' => $one->pages],
            $found,
        );
    }
}
