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
                title: "Position of {$domain}",
                meaning: "Position of {$domain}.",
                example: "p{$number}<=10",
                lead: "{$domain} at",
                start: "p{$number}<=10",
            )
            : ClauseKind::choices(
                "m{$number}",
                title: "Movement of {$domain}",
                meaning: "How {$domain} moved since its previous snapshot.",
                lead: "where {$domain}",
                choices: array_replace(self::values(Movement::class), ['slipped' => 'dropped']),
                start: 'slipped',
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
                title: 'Standing',
                meaning: 'One of these standings.',
                lead: 'that are',
                choices: array_replace(self::values(Standing::class), ['gap' => 'gaps']),
                start: 'gap',
            ),
            ClauseKind::of(
                'competitors',
                ClauseForm::Competitors,
                title: 'Competitors',
                meaning: 'At least so many competitors within the top 20; `=` exactly, `<=` at most; without `@` any position counts.',
                example: 'competitors>=2@20',
                lead: 'with',
                start: 'competitors>=2@20',
            ),
            ClauseKind::of(
                'own',
                ClauseForm::Position,
                title: 'Our position',
                meaning: 'Our position, from and to, or absent.',
                example: 'own=absent',
                lead: 'and we are',
                start: 'own>=6;own<=20',
            ),
            ClauseKind::range(
                'volume',
                title: 'Volume',
                meaning: 'Searches a month.',
                start: 'volume>=100',
                steps: [10, 50, 100, 200, 500, 1000, 2000, 5000],
                hasDistribution: true,
            ),
            ClauseKind::range(
                'difficulty',
                title: 'Difficulty',
                meaning: 'How hard page one is, 0 to 100.',
                start: 'difficulty<=35',
                steps: [10, 20, 30, 35, 40, 50, 60, 70],
                hasDistribution: true,
            ),
            ClauseKind::of(
                'text',
                ClauseForm::Words,
                title: 'Included and excluded words',
                meaning: 'Keywords with all plain words, singular or plural, and none of the words after a hyphen.',
                example: 'text=hive -wooden',
                lead: 'with',
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
                title: 'Words per keyword',
                meaning: 'Number of words in the keyword.',
                start: 'words>=3',
                steps: [1, 2, 3, 4, 5, 6],
                hasDistribution: true,
            ),
            ClauseKind::range(
                'cpc',
                title: 'CPC',
                meaning: 'Cost of a click on an ad.',
                start: 'cpc>=1',
                steps: [0.25, 0.5, 0.75, 1, 1.5, 3],
                hasDistribution: true,
            ),
            ClauseKind::range(
                'gain',
                title: 'Gain in visits',
                meaning: 'Visits a month that the target would bring beyond those now.',
                start: 'gain>=20',
                steps: [5, 20, 75, 250, 1000],
                hasDistribution: true,
            ),
            ClauseKind::range(
                'visits',
                title: 'Visits now',
                meaning: 'Visits a month now.',
                start: 'visits>=10',
                steps: [1, 5, 10, 50, 200],
            ),
            ClauseKind::range(
                'share',
                title: 'Share of our visits',
                meaning: 'The keyword’s share of all our visits: `share>=0.01`.',
                start: 'share>=0.01',
                steps: [0.001, 0.005, 0.01, 0.05],
                isShare: true,
            ),
            ClauseKind::range(
                'potential',
                title: 'Potential',
                meaning: 'Visits a month at position 1.',
                start: 'potential>=50',
                steps: [20, 50, 200, 1000],
            ),
            ClauseKind::range(
                'expected',
                title: 'Expected gain',
                meaning: 'Expected visits a month.',
                start: 'expected>=10',
                steps: [1, 5, 10, 50, 200],
            ),
            ClauseKind::range(
                'worth',
                title: 'Worth',
                meaning: 'Expected visits a month per day of work.',
                start: 'worth>=10',
                steps: [2, 10, 40, 150],
            ),
            ClauseKind::range(
                'chance',
                title: 'Win chance',
                meaning: 'The chance to reach the target, as a share: `chance>=0.5`.',
                start: 'chance>=0.5',
                steps: [0.1, 0.25, 0.5, 0.75],
                isShare: true,
            ),
            ClauseKind::range(
                'ground',
                title: 'Ground',
                meaning: 'How strong we are in related topics, as a share: `ground>=0.5`.',
                start: 'ground>=0.5',
                steps: [0.1, 0.25, 0.5, 0.75],
                isShare: true,
            ),
            ClauseKind::range(
                'competition',
                title: 'Advertiser competition',
                meaning: 'How much advertisers compete, 0 to 1.',
                start: 'competition<=0.5',
                steps: [0.25, 0.5, 0.75],
            ),
            ClauseKind::range(
                'links',
                title: 'Links to earn',
                meaning: 'Referring domains to earn.',
                start: 'links<=5',
                steps: [0, 2, 5, 10, 25],
            ),
            ClauseKind::range(
                'above',
                title: 'Competitors above us',
                meaning: 'How many competitors rank above us.',
                start: 'above>=1',
                steps: [1, 2, 3, 4],
            ),
            ClauseKind::range(
                'best',
                title: 'Best competitor’s position',
                meaning: 'The best position of any competitor.',
                start: 'best<=10',
                steps: [1, 3, 10, 20],
            ),
            ClauseKind::range(
                'fit',
                title: 'Business fit',
                meaning: 'Set by people, otherwise by a rule.',
                start: 'fit>=3',
                steps: [1, 2, 3, 4, 5],
            ),
            ClauseKind::range(
                'peak',
                title: 'Month of the peak',
                meaning: 'The month with the most searches, 1 to 12.',
                start: 'peak>=3',
                steps: [1, 3, 6, 9, 12],
            ),
        ];
    }

    /** @return list<ClauseKind> */
    private static function traits(): array
    {
        return [
            ClauseKind::choices(
                'horizon',
                title: 'Horizon',
                meaning: 'How soon it pays.',
                lead: 'horizon',
                choices: self::values(Horizon::class),
                start: 'quick win',
            ),
            ClauseKind::choices(
                'intent',
                title: 'Intent',
                meaning: 'What the searcher wants.',
                lead: 'intent',
                choices: self::values(Intent::class),
                start: 'buy',
            ),
            ClauseKind::choices(
                'tactic',
                title: 'Tactic',
                meaning: 'What to do about it, with or without links.',
                lead: 'tactic',
                choices: self::values(Tactic::class),
                start: 'improve page',
            ),
            ClauseKind::choices(
                'movement',
                title: 'Our movement',
                meaning: 'How we moved since our previous snapshot; `m0` means the same.',
                lead: 'where we',
                choices: array_replace(self::values(Movement::class), ['slipped' => 'dropped']),
                start: 'slipped',
            ),
            ClauseKind::choice(
                'brands',
                title: 'Competitors’ brands',
                meaning: 'Keywords with a competitor’s brand and not ours.',
                lead: '',
                choices: self::hideOrOnly('competitors’ brands'),
                start: 'hide',
            ),
            ClauseKind::choice(
                'mark',
                title: 'Our marks',
                meaning: 'Decisions: `kept` is all but the keywords set aside, `open` all keywords without a decision.',
                lead: '',
                choices: [
                    Mark::Shortlisted->value => 'on the shortlist',
                    Mark::SetAside->value => 'set aside',
                    'open' => 'without a decision',
                    'kept' => 'without those set aside',
                ],
                start: Mark::Shortlisted->value,
            ),
            ClauseKind::choice(
                'roadmap',
                title: 'Roadmap',
                meaning: 'Keywords that are on the roadmap, whatever the status of their page.',
                lead: '',
                choices: ['hide' => 'not on the roadmap', 'only' => 'on the roadmap'],
                start: 'hide',
            ),
            ClauseKind::choices(
                'stage',
                title: 'Funnel stage',
                meaning: 'Set by people, otherwise by the intent.',
                lead: 'funnel stage',
                choices: ['top' => 'top', 'middle' => 'middle', 'bottom' => 'bottom', 'unset' => 'unset'],
                start: 'bottom',
            ),
            ClauseKind::choice(
                'season',
                title: 'Season',
                meaning: 'By the monthly volumes.',
                lead: '',
                choices: self::values(SeasonKind::class),
                start: 'seasonal',
            ),
            ClauseKind::choices(
                'gaps',
                title: 'Our gaps since last time',
                meaning: 'Gaps that opened or closed since the previous snapshots; “gone” means that no domain ranks any more.',
                lead: 'gaps',
                choices: ['opened' => 'opened', 'closed' => 'closed', 'gone' => 'gone'],
                start: 'opened',
            ),
            ClauseKind::choice(
                'paid',
                title: 'Who advertises',
                meaning: 'Who advertises.',
                lead: 'advertised by',
                choices: ['we' => 'us', 'they' => 'competitors', 'only they' => 'only competitors', 'nobody' => 'no one'],
                start: 'only they',
            ),
            ClauseKind::choice(
                'conflict',
                title: 'Page conflict',
                meaning: 'Two of our pages compete with each other.',
                lead: '',
                choices: ['yes' => 'where two of our pages compete', 'no' => 'where none of our pages compete'],
                start: 'yes',
            ),
        ];
    }

    /** @return list<ClauseKind> */
    private static function noise(): array
    {
        return [
            ClauseKind::choice(
                'codes',
                title: 'Codes and model numbers',
                meaning: 'Codes and model numbers.',
                lead: '',
                choices: self::hideOrOnly('codes'),
                start: 'hide',
            ),
            ClauseKind::choice(
                'navigational',
                title: 'Searches for a site or desk',
                meaning: 'Searches for a site or desk.',
                lead: '',
                choices: self::hideOrOnly('searches for a site'),
                start: 'hide',
            ),
            ClauseKind::choice(
                'negatives',
                title: 'Our list of negatives',
                meaning: 'Words on the rulebook’s list `negatives`.',
                lead: '',
                choices: self::hideOrOnly('our negatives'),
                start: 'hide',
            ),
            ClauseKind::text(
                'regex',
                title: 'Pattern',
                meaning: 'A regular expression of PostgreSQL, at most 200 characters and '.
                    PatternSize::MOST.
                    ' when its repetitions are written out, without back references; not inside brackets when it has a bar.',
                lead: 'matching the pattern',
                start: 'regex=^how',
                label: 'Pattern',
                help: 'A regular expression, such as ^how (do|to)',
            ),
            ClauseKind::of(
                'tag',
                ClauseForm::Tags,
                title: 'Tags',
                meaning: 'Tags given by people.',
                example: 'tag=spring,gifts',
                lead: 'tagged',
            ),
            ClauseKind::text(
                'features',
                title: 'Features of the results page',
                meaning: 'The results page has this feature, according to the rankings.',
                lead: 'with',
                start: 'features=questions',
                label: 'Feature',
                help: 'As your rankings name it, such as questions, map or pictures',
                tail: 'on the results page',
            ),
            ClauseKind::of(
                'dated',
                ClauseForm::Day,
                title: 'Day of a source',
                meaning: 'A source has data on the keyword from that day on.',
                example: 'dated>=2026-10-01',
                lead: 'with data since',
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
                title: 'Page',
                meaning: 'Any compared domain ranks with this page; `page=new` shows keywords we have no page for, '.
                    '`page=existing` the rest.',
                example: 'page=https://inkmoor.example/pens',
                lead: 'on the page',
                isOffered: false,
            ),
            ClauseKind::of(
                'holds',
                ClauseForm::Domains,
                title: 'Domains that rank',
                meaning: 'These domains rank; 0 is ours.',
                example: 'holds=0,2',
                lead: 'with rankings of',
                isOffered: false,
            ),
            ClauseKind::of(
                'lacks',
                ClauseForm::Domains,
                title: 'Domains that don’t rank',
                meaning: 'These domains don’t rank.',
                example: 'lacks=1',
                lead: 'without rankings of',
                isOffered: false,
            ),
            ClauseKind::of(
                'combination',
                ClauseForm::Combination,
                title: 'Exact combination',
                meaning: 'Exactly these domains rank: the sum of 1 for us, 2 for the first competitor, 4 for the second …',
                example: 'combination=5',
                lead: 'with rankings of exactly',
                isOffered: false,
            ),
            ClauseKind::of(
                'topic',
                ClauseForm::Topic,
                title: 'Topic',
                meaning: 'Keywords of one topic, which one page can serve.',
                example: 'topic=bee hive',
                lead: 'about',
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
