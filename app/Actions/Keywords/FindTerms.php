<?php

declare(strict_types=1);

namespace App\Actions\Keywords;

use App\Exceptions\UserError;
use App\Models\Study;
use App\Support\PostgresStopWords;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\PublicAddress;
use GreaterReach\Core\Terms\CandidateTerms;
use GreaterReach\Core\Terms\HtmlText;
use GreaterReach\Core\Terms\TermOptions;
use Illuminate\Support\Facades\DB;

/** Finds candidate terms in a pasted text, or in a page as the source has it; the application fetches no page itself. */
final readonly class FindTerms
{
    public function __construct(private Sources $sources)
    {
    }

    /**
     * @return list<array{term: string, occurrences: int, is_known: bool}> the most frequent first
     *
     * @throws UserError|SourceProblem|InvalidValue
     */
    public function inText(Study $study, string $text, TermOptions $options): array
    {
        $terms = (new CandidateTerms(new PostgresStopWords($study->language)))->in($text, $options);
        $known = DB::table('metrics')
            ->where('study_id', $study->id)
            ->whereIn('keyword', array_map(strval(...), array_keys($terms)))
            ->distinct()
            ->pluck('keyword', 'keyword')
            ->all();

        return array_map(
            static fn(int|string $term, int $count): array => [
                'term' => (string) $term,
                'occurrences' => $count,
                'is_known' => isset($known[$term]),
            ],
            array_keys($terms),
            $terms,
        );
    }

    /**
     * @return list<array{term: string, occurrences: int, is_known: bool}>
     *
     * @throws UserError|SourceProblem|InvalidValue
     */
    public function inPage(Study $study, string $address, string $source, TermOptions $options): array
    {
        $url = PublicAddress::of($address);
        $html = $this->sources->get($source)->page($url) ?? throw SourceProblem::nothing($source, 'page '.InvalidValue::quote($url));

        return $this->inText($study, HtmlText::of($html), $options);
    }
}
