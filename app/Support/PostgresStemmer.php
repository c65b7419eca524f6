<?php

declare(strict_types=1);

namespace App\Support;

use GreaterReach\Core\Keyword\Stemmer;
use Illuminate\Support\Facades\DB;

/** Stems by PostgreSQL's own Snowball dictionaries, with no stop words left out. */
final readonly class PostgresStemmer implements Stemmer
{
    private const LANGUAGES = [
        'ar' => 'arabic',
        'hy' => 'armenian',
        'eu' => 'basque',
        'ca' => 'catalan',
        'da' => 'danish',
        'nl' => 'dutch',
        'en' => 'english',
        'fi' => 'finnish',
        'fr' => 'french',
        'de' => 'german',
        'el' => 'greek',
        'hi' => 'hindi',
        'hu' => 'hungarian',
        'id' => 'indonesian',
        'ga' => 'irish',
        'it' => 'italian',
        'lt' => 'lithuanian',
        'ne' => 'nepali',
        'no' => 'norwegian',
        'nb' => 'norwegian',
        'pt' => 'portuguese',
        'ro' => 'romanian',
        'ru' => 'russian',
        'sr' => 'serbian',
        'es' => 'spanish',
        'sv' => 'swedish',
        'ta' => 'tamil',
        'tr' => 'turkish',
        'yi' => 'yiddish',
    ];
    private const BATCH = 5000;

    /** @param string $language two letters; words of a language without a stemmer stay as they are */
    public function __construct(private string $language)
    {
    }

    public function stems(array $words): array
    {
        $stems = [];
        $dictionary = $this->dictionary();
        // Numbers are their own stems, and a list of keywords may hold very many.
        foreach (array_filter($words, ctype_digit(...)) as $number) {
            $stems[$number] = $number;
        }
        foreach (array_chunk(array_filter($words, static fn(string $word): bool => !ctype_digit($word)), self::BATCH) as $chunk) {
            /** @var list<object{word: string, stem: ?string}> $rows */
            $rows = DB::select("SELECT word, (ts_lexize('{$dictionary}', word))[1] AS stem FROM json_array_elements_text(?::json) word", [
                json_encode($chunk, JSON_THROW_ON_ERROR),
            ]);
            foreach ($rows as $row) {
                $stems[$row->word] = $row->stem ?? $row->word;
            }
        }

        /** @var array<string, string> $stems whose keys PHP keeps as numbers where they look like such */
        return $stems;
    }

    /** Makes the dictionary on first use: the ones that PostgreSQL ships leave stop words out. */
    private function dictionary(): string
    {
        $language = self::LANGUAGES[$this->language] ?? null;
        if ($language === null) {
            return 'simple';
        }
        $name = "reach_{$language}";
        if (DB::selectOne('SELECT 1 FROM pg_ts_dict WHERE dictname = ?', [$name]) === null) {
            DB::statement("CREATE TEXT SEARCH DICTIONARY {$name} (TEMPLATE = snowball, Language = {$language})");
        }

        return $name;
    }
}
