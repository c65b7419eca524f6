<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Where the weighed topics of one comparison lie: as its rows do, in the table that all share or in one of its own. */
final readonly class TopicTable
{
    public const SHARED = 'comparison_topics';

    /** Name that the topics have in every query. */
    public const ALIAS = 'comparison_topics';

    public function __construct(private int $comparison, private bool $isOwn)
    {
    }

    public function name(): string
    {
        return $this->isOwn ? self::ownOf($this->comparison) : self::SHARED;
    }

    /** Behind FROM or JOIN: the topics of this comparison and no others. */
    public function from(): string
    {
        return $this->isOwn
            ? $this->name().' AS '.self::ALIAS
            : '(SELECT * FROM '.self::SHARED." WHERE comparison_id = {$this->comparison}) AS ".self::ALIAS;
    }

    public function query(): Builder
    {
        return DB::table(DB::raw($this->from()));
    }

    public static function ownOf(int $comparison): string
    {
        return "comparison_topics_c{$comparison}";
    }
}
