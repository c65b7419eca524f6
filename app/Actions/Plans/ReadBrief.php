<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Bench\ReadPageOne;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Terms\HtmlHeadings;
use GreaterReach\Core\Winning\LinkProspect;
use GreaterReach\Core\Winning\PagesToBeat;

/**
 * The brief for a writer: primary and secondary keywords, what leads, the pages to beat with what they cover, questions to answer.
 *
 * @phpstan-import-type ShownResult from ReadPageOne
 * @phpstan-type BriefItem array{id: int, keyword: string, tactic: string, month: ?string, owner: string, due: ?string,
 *     links_to_earn: ?int, effort_days: float}
 * @phpstan-type BriefKeyword array{keyword: string, volume: ?int, own_position: ?int, potential: ?float}
 * @phpstan-type Rival array{url: string, headings: list<string>}
 * @phpstan-type Prospect array{domain: string, authority: ?float, pages: list<string>}
 * @phpstan-type Brief array{item: BriefItem, topic: ?string, intent: ?string, stage: ?string, our_page: ?string, our_position: ?int,
 *     target: ?int, gain: float, keywords: list<BriefKeyword>, traffic_leader: string, page_one: list<ShownResult>,
 *     rivals: list<Rival>, prospects: list<Prospect>, questions: list<string>, publish_by: ?string, written: object}
 */
final readonly class ReadBrief
{
    private const RIVALS = 3;
    private const KEYWORDS = 60;
    private const PROSPECTS = 20;

    public function __construct(
        private ReadPageOne $pageOne,
        private Sources $sources,
        private PublicSuffixList $suffixes,
        private ReadLinkProspects $prospects,
    ) {
    }

    /** @return Brief */
    public function execute(Study $study, PlanItem $item): array
    {
        $comparison = $study->comparison;
        $facts = PlanFacts::of($study, $comparison, [$item->keyword]);
        $row = $facts->row($item->keyword);
        $topic = (string) ($row->topic ?? $item->keyword);
        $keywords = $comparison === null ? [] : self::keywords($comparison, $topic);
        $results = $comparison === null ? [] : $this->results($comparison, $topic, $item->keyword);

        $urls = array_column($results, 'url');

        return [
            'item' => self::item($item),
            'topic' => $row?->topic,
            'intent' => $row?->intent?->value,
            'stage' => $row?->intent?->stage(),
            'our_page' => $row?->ownUrl,
            'our_position' => $row?->ownPosition,
            'target' => $row?->target,
            'gain' => $facts->gain($item->keyword),
            'keywords' => array_map(self::keyword(...), $keywords),
            'traffic_leader' => $keywords[0]->keyword ?? $item->keyword,
            'page_one' => $results,
            'rivals' => $this->rivals(PagesToBeat::of($urls, $study->ownDomain()->toEntry($this->suffixes))),
            'prospects' => $comparison === null ? [] : $this->prospects($study, $comparison, $topic, $urls),
            'questions' => $this->questions($study, $item->keyword),
            'publish_by' => $facts
                ->season($item->keyword)
                ->publishBy(PlanFrame::agreed($study)->start, $facts->effort()->ramp($item->tacticLabel()->tactic))
                ?->__toString(),
            'written' => (object) $item->brief,
        ];
    }

    /** @return BriefItem */
    private static function item(PlanItem $item): array
    {
        return [
            'id' => $item->id,
            'keyword' => $item->keyword,
            'tactic' => $item->tactic,
            'month' => $item->month,
            'owner' => $item->owner,
            'due' => $item->due?->toDateString(),
            'links_to_earn' => $item->links_to_earn,
            'effort_days' => $item->effort_days,
        ];
    }

    /** @return BriefKeyword */
    private static function keyword(WeighedRow $row): array
    {
        return ['keyword' => $row->keyword, 'volume' => $row->volume, 'own_position' => $row->ownPosition, 'potential' => $row->potential];
    }

    /** @return list<WeighedRow> of the topic, those that could bring most first */
    private static function keywords(Comparison $comparison, string $topic): array
    {
        $query = $comparison->table()->query()->where('topic', $topic);

        return ComparisonRows::read($query->orderByRaw('potential DESC NULLS LAST, keyword')->limit(self::KEYWORDS));
    }

    /** @return list<ShownResult> page one of the keyword */
    private function results(Comparison $comparison, string $topic, string $keyword): array
    {
        $ofTopic = $this->pageOne->execute($comparison, Sentence::parse('topic='.str_replace(';', ' ', $topic)));

        foreach ($ofTopic as $line) {
            if ($line['keyword'] === $keyword) {
                return $line['results'];
            }
        }

        return [];
    }

    /**
     * @param list<string> $urls
     *
     * @return list<array{url: string, headings: list<string>}> the first pages that the source has, with what they cover
     */
    private function rivals(array $urls): array
    {
        $rivals = [];
        foreach ($this->sources->names() === [] ? [] : $urls as $url) {
            try {
                $html = $this->sources->get($this->sources->names()[0])->page($url);
            } catch (SourceProblem) {
                break;
            }
            if ($html !== null) {
                $rivals[] = ['url' => $url, 'headings' => HtmlHeadings::of($html)];
            }
            if (\count($rivals) === self::RIVALS) {
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

    /** @return list<string> */
    private function questions(Study $study, string $keyword): array
    {
        if ($this->sources->names() === []) {
            return [];
        }
        try {
            $related = $this->sources->get($this->sources->names()[0])->related(SourceMarket::of($study), $keyword);
        } catch (SourceProblem) {
            return [];
        }

        return array_values(
            array_map(
                static fn(array $row): string => $row['keyword'],
                array_filter($related, static fn(array $row): bool => $row['is_question']),
            ),
        );
    }
}
