<?php

declare(strict_types=1);

namespace App\Actions\Vocabulary;

use App\Exceptions\ProblemCode;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Support\Catalogue\CatalogueEntry;
use App\Support\Catalogue\ColumnType;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Mark;
use App\Support\Rows\LongList;
use App\Support\Sentence\ClauseForm;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\SeasonKind;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Winning\AuthorityPeer;
use GreaterReach\Core\Winning\PositionFeature;

/** What the API's document (OpenAPI 3.1) takes from the code: the names of every kind of thing, and the columns of a weighed row. */
final class WriteContract
{
    public const DOCUMENT = 'resources/api/openapi.json';
    /** @var array<string, class-string<\BackedEnum>> schema → the names it allows */
    private const NAMES = [
        'ClauseForm' => ClauseForm::class,
        'Criterion' => Criterion::class,
        'PositionFeature' => PositionFeature::class,
        'Horizon' => Horizon::class,
        'Intent' => Intent::class,
        'ItemStatus' => ItemStatus::class,
        'LongList' => LongList::class,
        'Mark' => Mark::class,
        'Movement' => Movement::class,
        'Outcome' => Outcome::class,
        'Peer' => AuthorityPeer::class,
        'ProblemCode' => ProblemCode::class,
        'SeasonKind' => SeasonKind::class,
        'Standing' => Standing::class,
        'TaskKind' => TaskKind::class,
        'TaskStatus' => TaskStatus::class,
    ];
    private const ROW = 'WeighedRow';

    /** The document with these parts as they should be. */
    public function into(string $document): string
    {
        /** @var \stdClass&object{components: object{schemas: \stdClass}} $contract */
        $contract = json_decode($document, false, 512, JSON_THROW_ON_ERROR);
        foreach (self::NAMES as $schema => $class) {
            $contract->components->schemas->{$schema} = ['type' => 'string', 'enum' => array_column($class::cases(), 'value')];
        }
        $contract->components->schemas->{self::ROW} = self::row();

        return json_encode(
            $contract,
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }

    /** @return array<string, mixed> */
    private static function row(): array
    {
        $columns = [];
        foreach (RowCatalogue::told() as $entry) {
            $columns[$entry->name] = [...self::value($entry), ...self::about($entry)];
        }

        return [
            'type' => 'object',
            'description' => 'A keyword of a comparison, compared and weighed',
            'required' => array_keys($columns),
            'properties' => $columns,
        ];
    }

    /** @return array<string, mixed> */
    private static function value(CatalogueEntry $entry): array
    {
        $schema = $entry->class === null ? false : array_search($entry->class, self::NAMES, true);
        if ($schema !== false) {
            $named = ['$ref' => "#/components/schemas/{$schema}"];

            return $entry->isNullable ? ['anyOf' => [$named, ['type' => 'null']]] : $named;
        }
        if ($entry->type === ColumnType::Places) {
            return ['type' => 'array', 'items' => ['type' => ['integer', 'null']]];
        }
        $type = match ($entry->type) {
            ColumnType::Flag => 'boolean',
            ColumnType::Whole => 'integer',
            ColumnType::Measure => 'number',
            ColumnType::Text => 'string',
        };

        return ['type' => $entry->isNullable ? [$type, 'null'] : $type];
    }

    /** @return array{description?: string} */
    private static function about(CatalogueEntry $entry): array
    {
        $said = $entry->column->meaning;
        $unit = $entry->column->unit;

        return $said === '' ? [] : ['description' => $unit === '' ? $said : "{$said} Unit: {$unit}."];
    }
}
