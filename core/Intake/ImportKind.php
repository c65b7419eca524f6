<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** What one import file holds: one file, one kind. */
enum ImportKind: string
{
    case Rankings = 'rankings';
    case Keywords = 'keywords';
    case Results = 'results';
    case Performance = 'performance';
    case Domains = 'domains';
    case Links = 'links';
    case Pages = 'pages';
    case PageLinks = 'page_links';

    /** @var array<string, string> kind → what a file of it is often called */
    private const NAME_SIGNS = [
        'results' => '/page.?one|results/i',
        'performance' => '/performance|clicks/i',
        'domains' => '/domains|authority/i',
        'page_links' => '/(page|internal).?links/i',
        'links' => '/^(?!.*(page|internal)).*links/i',
        'pages' => '/pages|crawl/i',
        'keywords' => '/keyword/i',
    ];

    /**
     * The kind that a file most likely is: the one whose required fields it has and most of whose columns it fills; the
     * name of the file decides between equals, and speaks alone where no kind is complete.
     *
     * @param list<string> $headers
     */
    public static function guess(array $headers, string $fileName): self
    {
        $best = null;
        $most = 0.0;
        foreach (self::cases() as $kind) {
            $points = $kind->columnsIn($headers) + ($kind->isNamedBy($fileName) ? .5 : 0);
            if ($points >= 1 && $points > $most) {
                [$best, $most] = [$kind, $points];
            }
        }
        if ($best !== null) {
            return $best;
        }
        $named = array_filter(self::cases(), static fn(self $kind): bool => $kind->isNamedBy($fileName));

        return array_values($named)[0] ?? self::Rankings;
    }

    /**
     * @param list<string> $headers
     *
     * @return int columns with a meaning for this kind, 0 when a required one is missing
     */
    private function columnsIn(array $headers): int
    {
        try {
            $columns = \count(ColumnPlan::match($this, $headers)->columns);

            return $columns >= $this->fewestColumns() ? $columns : 0;
        } catch (FileProblem) {
            return 0;
        }
    }

    /** A URL and a title alone don't make a list of pages: other lists have them too. */
    private function fewestColumns(): int
    {
        return $this === self::Pages ? 3 : 1;
    }

    private function isNamedBy(string $fileName): bool
    {
        return isset(self::NAME_SIGNS[$this->value]) && preg_match(self::NAME_SIGNS[$this->value], $fileName) === 1;
    }

    /** @return list<Field> required ones first */
    public function fields(): array
    {
        return match ($this) {
            self::Rankings => [
                self::keyword(),
                self::position(),
                self::url(false),
                self::domain(false),
                self::dated(),
                self::channel(),
                ...self::metrics(),
                new Field('features', FieldType::Text, false, ['resultfeatures']),
            ],
            self::Keywords => [self::keyword(), ...self::metrics(), ...self::months()],
            self::Results => [self::keyword(), self::position(), self::url(true), ...self::results()],
            self::Performance => [
                new Field('query', FieldType::Keyword, true, ['keyword', 'searchterm', 'searchquery', 'queries']),
                new Field('clicks', FieldType::Count, true),
                new Field('impressions', FieldType::Count, true),
                new Field('position', FieldType::Amount, true, ['averageposition', 'avgposition', 'meanposition', 'avg.position']),
                new Field('page', FieldType::Url, false, ['url', 'landingpage', 'address']),
                self::dated(),
                new Field('conversions', FieldType::Count, false, ['orders', 'goals', 'sales']),
                new Field('revenue', FieldType::Amount, false, ['turnover', 'totalrevenue', 'salesvalue']),
            ],
            self::Domains => [
                self::domain(true),
                self::authority(),
                self::referringDomains(),
                new Field('backlinks', FieldType::Count, false, ['links', 'totalbacklinks', 'externalbacklinks']),
                new Field('brand_terms', FieldType::BrandTerms, false, ['brands', 'brand', 'brandterm']),
            ],
            self::Links => [
                new Field('linking_domain', FieldType::Domain, true, [
                    'linkingsite',
                    'sourcedomain',
                    'sourcesite',
                    'referringdomain',
                    'referringsite',
                    'fromdomain',
                ]),
                new Field('target_url', FieldType::Url, true, ['targetpage', 'linkedpage', 'linkedurl', 'linksto', 'tourl']),
                self::authority(),
                self::anchor(),
                self::dated(),
            ],
            self::Pages => [self::url(true), ...self::page()],
            self::PageLinks => [
                new Field('source_url', FieldType::Url, true, ['source', 'from', 'fromurl', 'sourcepage', 'linkingpage']),
                new Field('target_url', FieldType::Url, true, [
                    'target', 'destination', 'to', 'tourl', 'targetpage', 'linkedpage', 'linkedurl',
                ]),
                self::anchor(),
            ],
        };
    }

    private static function keyword(): Field
    {
        return new Field('keyword', FieldType::Keyword, true, [
            'keywords',
            'query',
            'searchterm',
            'searchquery',
            'phrase',
            'term',
            'keyphrase',
        ]);
    }

    private static function position(): Field
    {
        return new Field('position', FieldType::Position, true, [
            'rank',
            'ranking',
            'pos',
            'pos.',
            'currentposition',
            'place',
            'rankingposition',
        ]);
    }

    private static function url(bool $isRequired): Field
    {
        return new Field('url', FieldType::Url, $isRequired, [
            'page',
            'address',
            'landingpage',
            'rankingurl',
            'pageurl',
            'currenturl',
            'link',
        ]);
    }

    private static function domain(bool $isRequired): Field
    {
        return new Field('domain', FieldType::Domain, $isRequired, ['site', 'website', 'host', 'rootdomain', 'target']);
    }

    private static function dated(): Field
    {
        return new Field('date', FieldType::Date, false, ['day', 'snapshotdate', 'asof']);
    }

    private static function channel(): Field
    {
        return new Field('channel', FieldType::Channel, false, ['resulttype']);
    }

    private static function authority(): Field
    {
        return new Field('authority', FieldType::Share, false, ['siteauthority']);
    }

    private static function anchor(): Field
    {
        return new Field('anchor', FieldType::Text, false, ['anchortext', 'linktext']);
    }

    private static function referringDomains(): Field
    {
        return new Field('referring_domains', FieldType::Count, false, [
            'refdomains',
            'linkingdomains',
            'linkingrootdomains',
            'rootdomains',
            'referringdomain',
        ]);
    }

    /** @return list<Field> */
    private static function metrics(): array
    {
        return [
            new Field('volume', FieldType::Count, false, [
                'searchvolume',
                'searches',
                'monthlysearches',
                'avgmonthlysearches',
                'avg.monthlysearches',
                'monthlyvolume',
                'sv',
                'msv',
            ]),
            new Field('difficulty', FieldType::Share, false, ['kd', 'kd%', 'keyworddifficulty']),
            new Field('cpc', FieldType::Amount, false, ['costperclick', 'avgcpc', 'averagecpc', 'cpc(gbp)', 'cpc(usd)', 'cpc(eur)']),
            new Field('advertiser_competition', FieldType::Amount, false, [
                'competition',
                'paidcompetition',
                'adcompetition',
                'advertisers',
            ]),
        ];
    }

    /** @return list<Field> */
    private static function months(): array
    {
        $names = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];

        return array_map(
            static fn(int $month): Field => new Field('m'.$month, FieldType::Count, false, [
                $names[$month - 1],
                substr($names[$month - 1], 0, 3),
            ]),
            range(1, 12),
        );
    }

    /** @return list<Field> */
    private static function page(): array
    {
        return [
            self::title(),
            new Field('h1', FieldType::Text, false, ['heading', 'mainheading']),
            new Field('words', FieldType::Count, false, ['wordcount', 'numberofwords']),
            new Field('status', FieldType::Count, false, ['statuscode', 'httpstatus', 'responsecode', 'httpstatuscode']),
            new Field('indexable', FieldType::Flag, false, ['isindexable', 'canbeindexed']),
            new Field('published', FieldType::Date, false, ['publishdate', 'publicationdate', 'datepublished', 'created']),
            new Field('updated', FieldType::Date, false, ['modified', 'lastmodified', 'datemodified', 'lastupdated']),
            new Field('inlinks', FieldType::Count, false, ['internallinks', 'internallinksin']),
            self::referringDomains(),
        ];
    }

    private static function title(): Field
    {
        return new Field('title', FieldType::Text, false, ['pagetitle']);
    }

    /** @return list<Field> */
    private static function results(): array
    {
        return [
            self::authority(),
            new Field('page_strength', FieldType::Share, false, ['strength']),
            self::referringDomains(),
            self::dated(),
            self::title(),
        ];
    }
}
