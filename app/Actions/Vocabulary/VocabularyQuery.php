<?php

declare(strict_types=1);

namespace App\Actions\Vocabulary;

use App\Support\Catalogue\CatalogueEntry;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Sentence\ClauseKind;
use App\Support\Sentence\Vocabulary;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Priority\Criterion;

/** Everything that has a name on the screen, in the API and in the documents, as the server knows it. */
final class VocabularyQuery
{
    /** @return array<string, mixed> */
    public function execute(): array
    {
        return [
            'clauses' => array_values(array_map(static fn(ClauseKind $kind): array => $kind->toArray(), Vocabulary::kinds())),
            // Clauses about single domains, with N for the number and DOMAIN for the name; m0 is ours.
            'domain_clauses' => ['p' => self::aboutDomain('p'), 'm' => self::aboutDomain('m')],
            'columns' => array_map(
                self::column(...),
                array_values(
                    array_filter(RowCatalogue::entries(), static fn(CatalogueEntry $entry): bool => $entry->column->heading !== ''),
                ),
            ),
            'criteria' => array_map(
                static fn(Criterion $criterion): array => ['name' => $criterion->value, 'meaning' => $criterion->meaning()],
                Criterion::cases(),
            ),
            'import_kinds' => array_map(self::importKind(...), ImportKind::cases()),
            'intents' => array_map(
                static fn(Intent $intent): array => ['name' => $intent->value, 'stage' => $intent->stage()],
                Intent::cases(),
            ),
            'statuses' => array_column(ItemStatus::cases(), 'value'),
            'deleted_days' => config()->integer('reach.deleted_days'),
        ];
    }

    /** @return array<string, mixed> */
    private static function aboutDomain(string $letter): array
    {
        return array_map(
            static fn(mixed $value): mixed => \is_string($value) ? str_replace("{$letter}1", "{$letter}N", $value) : $value,
            Vocabulary::aboutDomain($letter, 1, 'DOMAIN')->toArray(),
        );
    }

    /** @return array{name: string, type: string, heading: string, unit: string, meaning: string, order: ?string, source: string} */
    private static function column(CatalogueEntry $entry): array
    {
        $column = $entry->column;

        return [
            'name' => $entry->name,
            'type' => $entry->type->value,
            'heading' => $column->heading,
            'unit' => $column->unit,
            'meaning' => $column->meaning,
            'order' => $entry->order(),
            'source' => $column->from->value ?? '',
        ];
    }

    /** @return array{name: string, fields: list<array{name: string, is_required: bool}>} */
    private static function importKind(ImportKind $kind): array
    {
        return [
            'name' => $kind->value,
            'fields' => array_map(
                static fn(Field $field): array => ['name' => $field->name, 'is_required' => $field->isRequired],
                $kind->fields(),
            ),
        ];
    }
}
