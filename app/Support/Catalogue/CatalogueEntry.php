<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

use App\Support\Database\Figures;
use App\Support\Database\NameOrder;
use GreaterReach\Core\Priority\TacticLabel;

/** One column of the weighed rows: what its property says of it, and what is said beside that. */
final readonly class CatalogueEntry
{
    /** Whether the database gives a value of it as the row has it. */
    public bool $isPlain;

    /**
     * @param string                                       $name  of the column in the table and in the API
     * @param class-string<\BackedEnum|TacticLabel>|null $class of its values, where they are more than text
     */
    public function __construct(
        public string $property,
        public string $name,
        public ColumnType $type,
        public bool $isNullable,
        public ?string $class,
        public Column $column,
    ) {
        $this->isPlain = $class === null && \in_array($type, [ColumnType::Text, ColumnType::Flag, ColumnType::Whole], true);
    }

    /** What a list that goes by it is asked for with; null where none can, as people read nothing in it. */
    public function order(): ?string
    {
        return $this->column->heading === '' ? null : $this->column->asked ?? $this->name;
    }

    /** What a list goes by that goes by it, as SQL: names of a kind by their own order, not by their letters. */
    public function orderSql(): string
    {
        $column = 'comparison_rows.'.$this->name;
        $isName = $this->class !== null && is_subclass_of($this->class, \BackedEnum::class);

        return match (true) {
            $isName => NameOrder::sql($this->class::cases(), $column),
            $this->type === ColumnType::Flag => "{$column}::int",
            default => $column,
        };
    }

    /** A value as the row has it, of one as the database gives it. */
    public function read(mixed $value): mixed
    {
        if ($value === null) {
            return null;
        }

        return match ($this->type) {
            ColumnType::Text => match (true) {
                $this->class === null => $value,
                $this->class === TacticLabel::class => TacticLabel::parse((string) Figures::text($value)),
                default => $this->class::from((string) Figures::text($value)),
            },
            ColumnType::Measure => Figures::float($value),
            ColumnType::Places => Figures::ints((string) Figures::text($value)),
            ColumnType::Flag, ColumnType::Whole => $value,
        };
    }
}
