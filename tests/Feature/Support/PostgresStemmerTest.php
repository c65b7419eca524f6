<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\PostgresStemmer;
use PHPUnit\Framework\Attributes\DataProvider;
use StandIn\Market;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Source: the program stemwords of Debian's libstemmer-tools, Snowball's own reference. */
final class PostgresStemmerTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> */
    public static function languages(): iterable
    {
        $words = array_values(
            array_unique(explode(' ', implode(' ', array_map(static fn($keyword): string => $keyword->text, (new Market())->keywords())))),
        );
        yield 'en' => ['en', [...$words, 'the', 'running', 'generously', 'hives', 'beekeeper’s', "bee's", 'dying', '2026']];
        yield 'de' => ['de', ['bienen', 'bienenstöcke', 'häuser', 'kaufen', 'der', 'günstige', 'größe']];
        yield 'fr' => ['fr', ['ruches', 'abeilles', 'acheter', 'les', 'mielleries', 'naturellement']];
    }

    /** @param list<string> $words */
    #[DataProvider('languages')]
    public function test_stems_agree_with_the_reference_program(string $language, array $words): void
    {
        $program = new Process(['stemwords', '-l', $language]);
        $program->setInput(implode("\n", $words)."\n")->mustRun();
        $expected = array_combine($words, explode("\n", rtrim($program->getOutput(), "\n")));
        $stems = (new PostgresStemmer($language))->stems($words);
        ksort($expected, SORT_STRING);
        ksort($stems, SORT_STRING);
        self::assertSame($expected, $stems);
    }

    public function test_words_of_a_language_without_a_stemmer_stay(): void
    {
        self::assertSame(['miód' => 'miód'], (new PostgresStemmer('pl'))->stems(['miód']));
    }
}
