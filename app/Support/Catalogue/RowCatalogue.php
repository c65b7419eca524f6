<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\TacticLabel;

/** The columns of the weighed rows, read once from `WeighedRow`. */
final class RowCatalogue
{
    private const SCORE = 'score_';

    /** @var ?list<CatalogueEntry> */
    private static ?array $entries = null;

    /** @var ?list<CatalogueEntry> */
    private static ?array $told = null;

    /** @var ?list<string> */
    private static ?array $scores = null;

    /** @return list<CatalogueEntry> all but the scores, in the order of the row */
    public static function entries(): array
    {
        return self::$entries ??= self::read();
    }

    /** @return list<string> names of all columns of the table beside study and comparison, scores and their cell last */
    public static function columns(): array
    {
        return [...array_map(static fn(CatalogueEntry $entry): string => $entry->name, self::entries()), ...self::scores(), self::CELL];
    }

    /** @return list<string> a column for each criterion, in the order of `Criterion` */
    public static function scores(): array
    {
        return self::$scores ??= array_map(self::score(...), Criterion::names());
    }

    /** Column of the cell that the scores lie in. */
    public const CELL = 'score_cell';

    public static function score(string $criterion): string
    {
        return self::SCORE.$criterion;
    }

    /** @return array<string, CatalogueEntry> what sentences call a column that they ask for as a range → the column */
    public static function ranges(): array
    {
        return self::named(static fn(CatalogueEntry $entry): ?string => $entry->column->isRange ? $entry->column->asked : null);
    }

    /** @return array<string, CatalogueEntry> what an order is called → the column */
    public static function orders(): array
    {
        return self::named(static fn(CatalogueEntry $entry): ?string => $entry->order());
    }

    /** @return list<CatalogueEntry> columns that the API gives */
    public static function told(): array
    {
        $isTold = static fn(CatalogueEntry $entry): bool => $entry->column->isTold;

        return self::$told ??= array_values(array_filter(self::entries(), $isTold));
    }

    /**
     * @param \Closure(CatalogueEntry): ?string $nameOf null leaves it out
     *
     * @return array<string, CatalogueEntry>
     */
    private static function named(\Closure $nameOf): array
    {
        $named = [];
        foreach (self::entries() as $entry) {
            $name = $nameOf($entry);
            if ($name !== null) {
                $named[$name] = $entry;
            }
        }

        return $named;
    }

    /** @return list<CatalogueEntry> */
    private static function read(): array
    {
        $entries = [];
        foreach ((new \ReflectionClass(WeighedRow::class))->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
            $type = $property->getType();
            if (!($type instanceof \ReflectionNamedType) || $type->getName() === Scores::class) {
                continue;
            }
            $said =
                $property->getAttributes(Column::class)[0] ??
                throw new \LogicException("Nothing is said of the column {$property->getName()}.");
            $entries[] = new CatalogueEntry(
                $property->getName(),
                self::nameOf($property->getName()),
                self::typeOf($type),
                $type->allowsNull(),
                self::classOf($type),
                $said->newInstance(),
            );
        }

        return $entries;
    }

    /** `competitorsIn10` → `competitors_in_10` */
    private static function nameOf(string $property): string
    {
        return strtolower((string) preg_replace('/(?<=[a-z])([A-Z]|\d+)/', '_$1', $property));
    }

    private static function typeOf(\ReflectionNamedType $type): ColumnType
    {
        return match ($type->getName()) {
            'bool' => ColumnType::Flag,
            'int' => ColumnType::Whole,
            'float' => ColumnType::Measure,
            'array' => ColumnType::Places,
            default => ColumnType::Text,
        };
    }

    /** @return class-string<\BackedEnum|TacticLabel>|null */
    private static function classOf(\ReflectionNamedType $type): ?string
    {
        $name = $type->getName();

        return is_subclass_of($name, \BackedEnum::class) || $name === TacticLabel::class ? $name : null;
    }
}
