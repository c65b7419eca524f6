<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Where the rows of one comparison lie: in the table that all comparisons share, or, for a large one, in a table of its own, which is
 * loaded and indexed in bulk and dropped whole. Anyone who reads does not see the difference.
 */
final readonly class RowTable
{
    public const SHARED = 'comparison_rows';

    /** Name that the rows have in every query. */
    public const ALIAS = 'comparison_rows';

    private function __construct(private int $study, private int $comparison, private bool $isOwn)
    {
    }

    public static function of(int $study, int $comparison, bool $isOwn): self
    {
        return new self($study, $comparison, $isOwn);
    }

    public function name(): string
    {
        return $this->isOwn ? self::ownOf($this->comparison) : self::SHARED;
    }

    /** Behind FROM or JOIN: the rows of this comparison and no others, under a name. */
    public function from(string $alias = self::ALIAS): string
    {
        return $this->isOwn
            ? $this->name()." AS {$alias}"
            : '(SELECT * FROM '.self::SHARED." WHERE study_id = {$this->study} AND comparison_id = {$this->comparison}) AS {$alias}";
    }

    /** Behind UPDATE or DELETE FROM, with conditions() behind WHERE. */
    public function changed(string $alias): string
    {
        return $this->name()." AS {$alias}";
    }

    public function conditions(string $alias): string
    {
        return $this->isOwn ? 'true' : "{$alias}.study_id = {$this->study} AND {$alias}.comparison_id = {$this->comparison}";
    }

    public function query(): Builder
    {
        return DB::table(DB::raw($this->from()));
    }

    public static function ownOf(int $comparison): string
    {
        return "comparison_rows_c{$comparison}";
    }
}
