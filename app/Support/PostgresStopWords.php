<?php

declare(strict_types=1);

namespace App\Support;

use GreaterReach\Core\Terms\StopWords;
use Illuminate\Support\Facades\DB;

/** The stop word lists of the Snowball project as PostgreSQL ships them: its stemmers give nothing for a stop word. */
final readonly class PostgresStopWords implements StopWords
{
    private const DICTIONARIES = [
        'da' => 'danish_stem',
        'nl' => 'dutch_stem',
        'en' => 'english_stem',
        'fi' => 'finnish_stem',
        'fr' => 'french_stem',
        'de' => 'german_stem',
        'hu' => 'hungarian_stem',
        'it' => 'italian_stem',
        'no' => 'norwegian_stem',
        'pt' => 'portuguese_stem',
        'ru' => 'russian_stem',
        'es' => 'spanish_stem',
        'sv' => 'swedish_stem',
        'tr' => 'turkish_stem',
    ];

    /** @param string $language two letters; a language without a list has no stop words */
    public function __construct(private string $language)
    {
    }

    public function among(array $words): array
    {
        $dictionary = self::DICTIONARIES[$this->language] ?? null;
        if ($dictionary === null) {
            return [];
        }
        /** @var list<object{word: string}> $rows */
        $rows = DB::select("SELECT word FROM json_array_elements_text(?::json) word WHERE ts_lexize('{$dictionary}', word) = '{}'", [
            json_encode($words, JSON_THROW_ON_ERROR),
        ]);

        return array_fill_keys(array_column($rows, 'word'), true);
    }
}
