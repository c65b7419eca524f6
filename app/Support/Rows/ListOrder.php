<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Exceptions\UserError;

/** What a short list goes by that has columns of its own. */
final readonly class ListOrder
{
    private function __construct(private string $sql, private bool $isDescending)
    {
    }

    /**
     * @param array<string, string> $columns name → SQL; the first one is taken where none is named
     *
     * @throws UserError when there is no such order
     */
    public static function of(array $columns, string $sort, bool $isDescending): self
    {
        $name = $sort === '' ? (string) array_key_first($columns) : $sort;

        return new self(
            $columns[$name] ?? throw UserError::because('sort', sprintf('Sort by one of %s.', implode(', ', array_keys($columns)))),
            $isDescending,
        );
    }

    /** @param string $last what decides between equals, as SQL; the unknown stands last whichever way it goes */
    public function sql(string $last): string
    {
        return $this->sql.($this->isDescending ? ' DESC' : ' ASC')." NULLS LAST, {$last}";
    }
}
