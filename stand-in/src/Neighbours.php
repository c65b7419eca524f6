<?php

declare(strict_types=1);

namespace StandIn;

/**
 * The sites that share page one with the domains of the market: marketplaces, societies, magazines, small shops, parish clubs, each for
 * the subjects that it writes about or sells; and sites of other trades, where a name means something else there.
 *
 * @phpstan-type Result array{host: string, url: string, authority: int, title: string}
 */
final readonly class Neighbours
{
    private const EVERYWHERE = '*';

    /** Host without its ending → authority, pages that it has (shop, guide or both), subjects. */
    private const SITES = [
        'barterbarn' => [91, 'shop', self::EVERYWHERE],
        'everyshed' => [88, 'shop', self::EVERYWHERE],
        'videobarn' => [95, 'guide', self::EVERYWHERE],
        'fieldpedia' => [93, 'guide', 'health garden bees queens honey'],
        'ministry-of-hedgerows' => [84, 'guide', 'health bees'],
        'wattle-and-croft' => [74, 'shop', 'garden honey suits courses'],
        'pollen-post' => [71, 'guide', 'garden honey courses health'],
        'county-growers' => [66, 'guide', 'garden bees courses'],
        'smallholder-post' => [63, 'guide', 'hives feeding health courses bees'],
        'comb-keepers-union' => [61, 'guide', 'health queens hives bees extraction feeding courses'],
        'hivetalk-forum' => [58, 'guide', 'hives smokers extraction feeding queens health bees suits'],
        'rural-supply-direct' => [57, 'shop', 'hives suits smokers feeding health extraction'],
        'seedsower' => [55, 'both', 'garden'],
        'allotment-notes' => [52, 'guide', 'garden bees feeding hives'],
        'hedge-school' => [49, 'both', 'courses'],
        'wild-verge' => [47, 'both', 'garden'],
        'the-apiarists-table' => [44, 'guide', 'honey extraction'],
        'orchard-and-skep' => [42, 'both', 'hives bees queens smokers'],
        'candlewick-lane' => [37, 'shop', 'honey'],
        'moorland-honey-house' => [33, 'shop', 'honey extraction'],
        'northdale-bee-supplies' => [31, 'shop', 'hives suits smokers extraction feeding queens health'],
        'tin-pail-traders' => [29, 'shop', 'extraction honey feeding'],
        'heather-and-hive' => [27, 'both', 'honey bees queens'],
        'the-queen-yard' => [26, 'both', 'queens bees'],
        'suit-and-veil' => [24, 'shop', 'suits'],
        'backyard-brood' => [22, 'guide', 'hives health feeding courses queens'],
        'saltmarsh-apiary' => [18, 'both', 'honey bees suits'],
        'two-frames-one-brood' => [17, 'guide', 'hives smokers extraction feeding'],
        'tansy-cottage-diary' => [14, 'guide', 'garden honey feeding suits'],
        'windfall-apiary' => [12, 'both', 'bees honey hives courses'],
        'nuc-and-nectar' => [11, 'guide', 'bees queens feeding health smokers'],
        'shed-and-skep' => [16, 'shop', 'hives suits smokers extraction feeding'],
        'peckover-hives' => [13, 'shop', 'hives bees queens feeding health'],
        'mothers-lane-honey' => [10, 'shop', 'honey extraction courses'],
        'bright-meadow-seed' => [23, 'shop', 'garden'],
        'glove-and-gauntlet' => [8, 'shop', 'suits smokers'],
        'little-smoker' => [9, 'guide', 'smokers suits extraction'],
    ];

    /** Small sites of the trade and of villages that have something about a thing: so many of those that these words make. */
    private const SMALL_SITES = 14;
    private const PLACES = [
        'dunmere', 'vale-of-orle', 'peckover', 'fernhill', 'larkspur', 'mossgate', 'quarry-lane', 'tidewater', 'upper-thrale', 'wickerby',
    ];
    private const CALLED = ['beekeepers', 'apiary', 'honey', 'hives', 'bee-diary', 'allotments', 'country-store', 'news'];

    /** Authority of a middling site. */
    private const MIDDLING = 45;

    /** Thing → site of another trade that the same words lead to, its authority, and what it is about. */
    private const ELSEWHERE = [
        'smoker pellets' => ['ember-and-brisket', 48, 'Hickory pellets for your barbecue'],
        'smoker fuel' => ['ember-and-brisket', 48, 'Charcoal and wood for smoking meat'],
        'electric smoker' => ['ember-and-brisket', 48, 'Electric barbecue smokers tested'],
        'copper smoker' => ['stillroom-antiques', 35, 'Copper smoking sets of the last century'],
        'fencing veil' => ['foil-and-sabre', 39, 'Masks for fencers, by weapon'],
        'queen clip' => ['locks-and-lace', 44, 'Hair clips with crowns'],
        'queen cage' => ['parakeet-parlour', 36, 'Cages for large birds'],
        'virgin queen' => ['reign-and-realm', 67, 'The queen who never married'],
        'crown board' => ['dovetail-joinery', 41, 'Crown moulding boards by the metre'],
        'honeycomb' => ['sweet-tin', 53, 'Cinder toffee in ten minutes'],
        'honey gate' => ['orle-holiday-lets', 30, 'Honeygate Cottage, sleeps six'],
        'bee brush' => ['blush-and-bristle', 46, 'Brushes for powder and blush'],
        'long hive' => ['rash-and-remedy', 72, 'How long does a rash of hives last?'],
        'brood box' => ['boxed-brood-games', 28, 'The board game of dragons and their brood'],
        'nuc box' => ['small-form-computers', 50, 'Mini computers in a box'],
    ];
    private const SLOTS_ELSEWHERE = 3;

    /** Share of what a site has for a keyword that is written for just those words. */
    private const OWN_PAGE_SHARE = .45;
    private const SUFFIXES = ['', ' - prices and delivery', ', explained', ' | read this first', ': what we found', ' (with pictures)'];

    public function __construct(private Noise $noise)
    {
    }

    /**
     * The first so many for a keyword, the best first.
     *
     * @return list<Result> each host once
     */
    public function of(MarketKeyword $keyword, int $count): array
    {
        $places = [];
        $crowd = KeywordMaker::crowd($this->noise, $keyword->thing);
        foreach (self::SITES as $name => [$authority, $pages, $subjects]) {
            $isHere = $subjects === self::EVERYWHERE || $keyword->brandOf !== '' || str_contains($subjects, $keyword->subject);
            if ($isHere && ($pages === 'both' || $pages === $keyword->page)) {
                $places[$name] = $this->strength($name, $authority, $keyword, $crowd);
            }
        }
        $small = $this->smallSites($keyword->thing);
        foreach ($small as $name => $authority) {
            $places[$name] = $this->strength($name, $authority, $keyword, $crowd);
        }
        arsort($places);
        $results = array_map(
            fn(string $name): array => $this->result($name, $small[$name] ?? self::SITES[$name][0], $keyword),
            \array_slice(array_keys($places), 0, $count),
        );

        return $this->withElsewhere($results, $keyword, $count);
    }

    private function strength(string $name, int $authority, MarketKeyword $keyword, float $crowd): float
    {
        return (.3 + 1.2 * $crowd) * ($authority - self::MIDDLING) / 30 + $this->noise->normal("neighbour {$name} {$keyword->thing}")
            + .4 * $this->noise->normal("neighbour {$name} {$keyword->text}");
    }

    /** @return array<string, int> host without its ending → authority, of those that have something about a thing */
    private function smallSites(string $thing): array
    {
        $sites = [];
        for ($number = 0; $number < self::SMALL_SITES; ++$number) {
            $draw = crc32("{$thing} {$number}");
            $name = self::PLACES[$draw % \count(self::PLACES)].'-'.self::CALLED[intdiv($draw, 97) % \count(self::CALLED)];
            $sites[$name] = 4 + crc32($name) % 26;
        }

        return $sites;
    }

    /** @return Result */
    private function result(string $name, int $authority, MarketKeyword $keyword): array
    {
        $isOwn = $this->noise->uniform("own page {$name} {$keyword->text}") < self::OWN_PAGE_SHARE;
        $about = $isOwn ? $keyword->text : $keyword->thing;
        $suffix = self::SUFFIXES[(int) floor(\count(self::SUFFIXES) * $this->noise->uniform("title {$name} {$about}"))];

        return [
            'host' => $name.'.example',
            'url' => "https://{$name}.example/".str_replace(' ', '-', $about),
            'authority' => $authority,
            'title' => ucfirst($about).$suffix,
        ];
    }

    /**
     * @param list<Result> $results
     *
     * @return list<Result>
     */
    private function withElsewhere(array $results, MarketKeyword $keyword, int $count): array
    {
        if (! isset(self::ELSEWHERE[$keyword->thing])) {
            return $results;
        }
        [$name, $authority, $title] = self::ELSEWHERE[$keyword->thing];
        $at = (int) floor(self::SLOTS_ELSEWHERE * $this->noise->uniform("elsewhere {$keyword->text}"));
        array_splice($results, $at, 0, [[
            'host' => $name.'.example',
            'url' => "https://{$name}.example/".str_replace(' ', '-', strtolower((string) preg_replace('/[^A-Za-z ]/', '', $title))),
            'authority' => $authority,
            'title' => $title,
        ]]);

        return \array_slice($results, 0, $count);
    }
}
