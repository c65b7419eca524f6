<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Exceptions\UserError;
use App\Support\Catalogue\RowCatalogue;

/** What a list of keywords goes by: a column of the catalogue, the position of one domain (`p2`), or decisions in this study. */
final readonly class RowOrder
{
    /** Our share of the clicks goes as our visits do. */
    private const SHARE = 'visits_now';
    private const DECIDED = ['mark', 'fit', 'reason', 'note'];

    private function __construct(public string $sql)
    {
    }

    /**
     * @param string  $name  as a list is asked for it
     * @param int     $competitors how many are compared
     * @param ?string $other what the list can go by beside these, for the words of a refusal
     *
     * @throws UserError when there is no such order
     */
    public static function named(string $name, int $competitors, ?string $other = null): self
    {
        $columns = RowCatalogue::orders();

        return new self(match (true) {
            isset($columns[$name]) => $columns[$name]->orderSql(),
            self::isPosition($name, $competitors) => 'comparison_rows.positions['.((int) substr($name, 1) + 1).']',
            $name === 'share' => 'comparison_rows.'.self::SHARE,
            $name === 'tags' => self::decided('tags', 'min(o.tag)'),
            \in_array($name, self::DECIDED, true) => self::decided('decisions', "o.{$name}"),
            default => throw UserError::because(
                'sort',
                sprintf('Sort by one of %s.', implode(', ', [...$other === null ? [] : [$other], ...self::names()])),
            ),
        });
    }

    /** As it stands behind ORDER BY, unknown last whichever way it goes. */
    public function sql(bool $descending): string
    {
        return "{$this->sql} ".($descending ? 'DESC' : 'ASC').' NULLS LAST, comparison_rows.keyword';
    }

    /** @return list<string> p1 stands for the first competitor */
    private static function names(): array
    {
        return [...array_keys(RowCatalogue::orders()), 'p1', 'share', 'tags', ...self::DECIDED];
    }

    private static function isPosition(string $name, int $competitors): bool
    {
        return preg_match('/^p(0|[1-9]\d?)$/D', $name) === 1 && (int) substr($name, 1) <= $competitors;
    }

    private static function decided(string $table, string $value): string
    {
        return "(SELECT {$value} FROM {$table} o WHERE o.study_id = comparison_rows.study_id AND o.keyword = comparison_rows.keyword)";
    }
}
