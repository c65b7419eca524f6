<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandProposals;
use Illuminate\Support\Collection;

/** What could be cleared out of a sentence's keywords, each with its count and the clause that would do it. Nothing goes by itself. */
final class FindNoise
{
    private const CLAUSES = [
        'brands' => 'competitors’ brands',
        'codes' => 'codes and model numbers',
        'navigational' => 'navigational searches',
        'negatives' => 'words on the study’s list of negatives',
    ];

    /** Keywords looked through for brands, the most searched first. */
    private const LOOKED_AT = 50_000;
    private const PROPOSED = 12;

    /**
     * @return array{clauses: list<array{clause: string, what: string, keywords: int}>, brand_terms: list<array{word: string,
     *     domain: int, keywords: int}>}
     */
    public function execute(Comparison $comparison, Sentence $sentence): array
    {
        $rows = new ComparisonRows($comparison);
        $clauses = [];
        foreach (self::CLAUSES as $name => $what) {
            if ((string) $sentence->only($name) === $name.'=hide') {
                continue;
            }
            $count = $rows->query($sentence->without($name)->with($name.'=only'))->count();
            if ($count > 0) {
                $clauses[] = ['clause' => $name.'=hide', 'what' => $what, 'keywords' => $count];
            }
        }
        $proposals = new BrandProposals();
        /** @var Collection<int, object{keyword: string, positions: string}> $looked */
        $looked = $rows
            ->query(Sentence::parse('brands=hide'))
            ->orderByRaw('volume DESC NULLS LAST, keyword')
            ->limit(self::LOOKED_AT)
            ->get(['keyword', 'positions']);
        foreach ($looked as $row) {
            $leader = array_search(1, Figures::ints($row->positions), true);
            $proposals->add(Words::of($row->keyword), $leader === false || $leader === 0 ? null : (int) $leader);
        }

        return ['clauses' => $clauses, 'brand_terms' => \array_slice($proposals->proposals(), 0, self::PROPOSED)];
    }
}
