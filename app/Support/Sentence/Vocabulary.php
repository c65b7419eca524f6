<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Support\Mark;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\SeasonKind;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Tactic;

/** Every clause that a sentence can have, in the order in which they stand in it. */
final class Vocabulary
{
    /** @var ?array<string, ClauseKind> */
    private static ?array $kinds = null;

    /** @return array<string, ClauseKind> name → kind, but for those about single domains */
    public static function kinds(): array
    {
        if (self::$kinds === null) {
            $kinds = [...self::always(), ...self::figures(), ...self::traits(), ...self::noise(), ...self::places()];
            self::$kinds = array_combine(array_map(static fn(ClauseKind $kind): string => $kind->name, $kinds), $kinds);
        }

        return self::$kinds;
    }

    /** What a clause about one domain says, by its number: `p2` and `m2` are about the second competitor, `m0` is ours. */
    public static function aboutDomain(string $letter, int $number, string $domain): ClauseKind
    {
        return $letter === 'p'
            ? ClauseKind::of(
                "p{$number}",
                ClauseForm::Position,
                "Position of {$domain}",
                "Position of {$domain}.",
                "p{$number}<=10",
                "{$domain} at",
                "p{$number}<=10",
            )
            : ClauseKind::choices(
                "m{$number}",
                "Movement of {$domain}",
                "How {$domain} moved since its previous snapshot.",
                "where {$domain}",
                array_replace(self::values(Movement::class), ['slipped' => 'dropped']),
                'slipped',
            );
    }

    public static function get(string $name): ?ClauseKind
    {
        return self::kinds()[$name] ?? null;
    }

    /** @return non-empty-list<string> values that a clause can have */
    public static function choicesOf(string $name): array
    {
        $choices = array_map(strval(...), array_keys(self::get($name)->choices ?? []));

        return $choices === [] ? throw new \LogicException("The clause {$name} has no choices.") : $choices;
    }

    /** @return list<ClauseKind> */
    private static function always(): array
    {
        return [
            ClauseKind::choices(
                'standing',
                'Standing',
                'One of these standings.',
                'that are',
                array_replace(self::values(Standing::class), ['gap' => 'gaps']),
                'gap',
            ),
            ClauseKind::of(
                'competitors',
                ClauseForm::Competitors,
                'Competitors',
                'At least so many competitors within the top 20; `=` exactly, `<=` at most; without `@` any position counts.',
                'competitors>=2@20',
                'with',
                'competitors>=2@20',
            ),
            ClauseKind::of(
                'own',
                ClauseForm::Position,
                'Our position',
                'Our position, from and to, or absent.',
                'own=absent',
                'and we are',
                'own>=6;own<=20',
            ),
            ClauseKind::range(
                'volume',
                'Volume',
                'Searches a month.',
                'volume>=100',
                [10, 50, 100, 200, 500, 1000, 2000, 5000],
                true,
            ),
            ClauseKind::range(
                'difficulty',
                'Difficulty',
                'How hard page one is, 0 to 100.',
                'difficulty<=35',
                [10, 20, 30, 35, 40, 50, 60, 70],
                true,
            ),
            ClauseKind::of(
                'text',
                ClauseForm::Words,
                'Included and excluded words',
                'Keywords with all plain words, singular or plural, and none of the words after a hyphen.',
                'text=hive -wooden',
                'with',
                label: 'Words',
                help: 'Keywords with all these words, singular or plural. Put - before a word to exclude it.',
            ),
        ];
    }

    /** @return list<ClauseKind> */
    private static function figures(): array
    {
        return [
            ClauseKind::range(
                'words',
                'Words per keyword',
                'Number of words in the keyword.',
                'words>=3',
                [1, 2, 3, 4, 5, 6],
                true,
            ),
            ClauseKind::range('cpc', 'CPC', 'Cost of a click on an ad.', 'cpc>=1', [0.25, 0.5, 0.75, 1, 1.5, 3], true),
            ClauseKind::range(
                'gain',
                'Gain in visits',
                'Visits a month that the target would bring beyond those now.',
                'gain>=20',
                [5, 20, 75, 250, 1000],
                true,
            ),
            ClauseKind::range('visits', 'Visits now', 'Visits a month now.', 'visits>=10', [1, 5, 10, 50, 200]),
            ClauseKind::range(
                'share',
                'Share of our visits',
                'The keyword’s share of all our visits: `share>=0.01`.',
                'share>=0.01',
                [0.001, 0.005, 0.01, 0.05],
                isShare: true,
            ),
            ClauseKind::range('potential', 'Potential', 'Visits a month at position 1.', 'potential>=50', [20, 50, 200, 1000]),
            ClauseKind::range('expected', 'Expected gain', 'Expected visits a month.', 'expected>=10', [1, 5, 10, 50, 200]),
            ClauseKind::range('worth', 'Worth', 'Expected visits a month per day of work.', 'worth>=10', [2, 10, 40, 150]),
            ClauseKind::range(
                'chance',
                'Win chance',
                'The chance to reach the target, as a share: `chance>=0.5`.',
                'chance>=0.5',
                [0.1, 0.25, 0.5, 0.75],
                isShare: true,
            ),
            ClauseKind::range(
                'ground',
                'Ground',
                'How strong we are in related topics, as a share: `ground>=0.5`.',
                'ground>=0.5',
                [0.1, 0.25, 0.5, 0.75],
                isShare: true,
            ),
            ClauseKind::range('competition', 'Advertiser competition', 'How much advertisers compete, 0 to 1.', 'competition<=0.5', [
                0.25,
                0.5,
                0.75,
            ]),
            ClauseKind::range('links', 'Links to earn', 'Referring domains to earn.', 'links<=5', [0, 2, 5, 10, 25]),
            ClauseKind::range('above', 'Competitors above us', 'How many competitors rank above us.', 'above>=1', [1, 2, 3, 4]),
            ClauseKind::range('best', 'Best competitor’s position', 'The best position of any competitor.', 'best<=10', [1, 3, 10, 20]),
            ClauseKind::range('fit', 'Business fit', 'Set by people, otherwise by a rule.', 'fit>=3', [
                1,
                2,
                3,
                4,
                5,
            ]),
            ClauseKind::range('peak', 'Month of the peak', 'The month with the most searches, 1 to 12.', 'peak>=3', [1, 3, 6, 9, 12]),
        ];
    }

    /** @return list<ClauseKind> */
    private static function traits(): array
    {
        return [
            ClauseKind::choices('horizon', 'Horizon', 'How soon it pays.', 'horizon', self::values(Horizon::class), 'quick win'),
            ClauseKind::choices('intent', 'Intent', 'What the searcher wants.', 'intent', self::values(Intent::class), 'buy'),
            ClauseKind::choices(
                'tactic',
                'Tactic',
                'What to do about it, with or without links.',
                'tactic',
                self::values(Tactic::class),
                'improve page',
            ),
            ClauseKind::choices(
                'movement',
                'Our movement',
                'How we moved since our previous snapshot; `m0` means the same.',
                'where we',
                array_replace(self::values(Movement::class), ['slipped' => 'dropped']),
                'slipped',
            ),
            ClauseKind::choice(
                'brands',
                'Competitors’ brands',
                'Keywords with a competitor’s brand and not ours.',
                '',
                self::hideOrOnly('competitors’ brands'),
                'hide',
            ),
            ClauseKind::choice(
                'mark',
                'Our marks',
                'Decisions: `kept` is all but the keywords set aside, `open` all keywords without a decision.',
                '',
                [
                    Mark::Shortlisted->value => 'on the shortlist',
                    Mark::SetAside->value => 'set aside',
                    'open' => 'without a decision',
                    'kept' => 'without those set aside',
                ],
                Mark::Shortlisted->value,
            ),
            ClauseKind::choice(
                'roadmap',
                'Roadmap',
                'Keywords that are on the roadmap, whatever the status of their page.',
                '',
                ['hide' => 'not on the roadmap', 'only' => 'on the roadmap'],
                'hide',
            ),
            ClauseKind::choices(
                'stage',
                'Funnel stage',
                'Set by people, otherwise by the intent.',
                'funnel stage',
                ['top' => 'top', 'middle' => 'middle', 'bottom' => 'bottom', 'unset' => 'unset'],
                'bottom',
            ),
            ClauseKind::choice('season', 'Season', 'By the monthly volumes.', '', self::values(SeasonKind::class), 'seasonal'),
            ClauseKind::choices(
                'gaps',
                'Our gaps since last time',
                'Gaps that opened or closed since the previous snapshots; “gone” means that no domain ranks any more.',
                'gaps',
                ['opened' => 'opened', 'closed' => 'closed', 'gone' => 'gone'],
                'opened',
            ),
            ClauseKind::choice(
                'paid',
                'Who advertises',
                'Who advertises.',
                'advertised by',
                ['we' => 'we', 'they' => 'they', 'only they' => 'only they', 'nobody' => 'no one'],
                'only they',
            ),
            ClauseKind::choice(
                'conflict',
                'Page conflict',
                'Two of our pages compete with each other.',
                '',
                ['yes' => 'where two of our pages compete', 'no' => 'where none of our pages compete'],
                'yes',
            ),
        ];
    }

    /** @return list<ClauseKind> */
    private static function noise(): array
    {
        return [
            ClauseKind::choice('codes', 'Codes and model numbers', 'Codes and model numbers.', '', self::hideOrOnly('codes'), 'hide'),
            ClauseKind::choice(
                'navigational',
                'Searches for a site or desk',
                'Searches for a site or desk.',
                '',
                self::hideOrOnly('searches for a site'),
                'hide',
            ),
            ClauseKind::choice(
                'negatives',
                'Our list of negatives',
                'Words on the rulebook’s list `negatives`.',
                '',
                self::hideOrOnly('our negatives'),
                'hide',
            ),
            ClauseKind::text(
                'regex',
                'Pattern',
                'A regular expression of PostgreSQL, at most 200 characters and '.
                    PatternSize::MOST.
                    ' when its repetitions are written out, without back references; not inside brackets when it has a bar.',
                'matching the pattern',
                'regex=^how',
                'Pattern',
                'A regular expression, such as ^how (do|to)',
            ),
            ClauseKind::of('tag', ClauseForm::Tags, 'Tags', 'Tags given by people.', 'tag=spring,gifts', 'tagged'),
            ClauseKind::text(
                'features',
                'Features of the results page',
                'The results page has this feature, according to the rankings.',
                'with',
                'features=questions',
                'Feature',
                'As your rankings name it, such as questions, map or pictures',
                'on the results page',
            ),
            ClauseKind::of(
                'dated',
                ClauseForm::Day,
                'Day of a source',
                'A source has data on the keyword from that day on.',
                'dated>=2026-10-01',
                'with data since',
                label: 'Day',
                help: 'YYYY-MM-DD',
            ),
        ];
    }

    /** @return list<ClauseKind> */
    private static function places(): array
    {
        return [
            ClauseKind::of(
                'page',
                ClauseForm::Page,
                'Page',
                'Any compared domain ranks with this page; `page=new` shows keywords we have no page for, `page=existing` the rest.',
                'page=https://inkmoor.example/pens',
                'on the page',
                isOffered: false,
            ),
            ClauseKind::of(
                'holds',
                ClauseForm::Domains,
                'Domains that rank',
                'These domains rank; 0 is ours.',
                'holds=0,2',
                'with rankings of',
                isOffered: false,
            ),
            ClauseKind::of(
                'lacks',
                ClauseForm::Domains,
                'Domains that don’t rank',
                'These domains don’t rank.',
                'lacks=1',
                'without rankings of',
                isOffered: false,
            ),
            ClauseKind::of(
                'combination',
                ClauseForm::Combination,
                'Exact combination',
                'Exactly these domains rank: the sum of 1 for us, 2 for the first competitor, 4 for the second …',
                'combination=5',
                'with rankings of exactly',
                isOffered: false,
            ),
            ClauseKind::of(
                'topic',
                ClauseForm::Topic,
                'Topic',
                'Keywords of one topic, which one page can serve.',
                'topic=bee hive',
                'about',
                isOffered: false,
            ),
        ];
    }

    /** @return array<string, string> */
    private static function hideOrOnly(string $what): array
    {
        return ['hide' => "without {$what}", 'only' => "only {$what}"];
    }

    /**
     * @param class-string<\BackedEnum> $enum
     *
     * @return array<string, string> value → itself
     */
    private static function values(string $enum): array
    {
        $values = array_map(static fn(\BackedEnum $case): string => (string) $case->value, $enum::cases());

        return array_combine($values, $values);
    }
}
