<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Bench\GroupsQuery;
use App\Actions\Decisions\DecisionInput;
use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Mark;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Rows\LongList;
use App\Support\Sentence\Sentence;
use App\Support\Texts;
use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Priority\FitGate;
use Illuminate\Database\Query\Builder;
use Illuminate\Foundation\Http\FormRequest;

/** A decision about some keywords, named one by one or by a sentence. */
final class DecisionRequest extends FormRequest
{
    private const MOST = 50_000;
    private const COLUMNS = ['mark', 'reason', 'fit', 'intent', 'stage', 'target', 'note', 'topic', 'pinned', 'difficulty'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            // An empty sentence shows everything; it comes as nothing.
            'keywords' => [...$this->hasAny(['show', 'topics', 'groups']) ? ['sometimes'] : ['required'], 'array', 'min:1', 'max:1000'],
            'topics' => ['sometimes', 'array', 'min:1', 'max:1000'],
            'topics.*' => ['required', 'string', 'max:2000'],
            'keywords.*' => ['required', 'string', 'max:2000'],
            'show' => ['sometimes', 'nullable', 'string', 'max:4000'],
            'list' => ['sometimes', LongList::rule()],
            // Of the groups of opportunities by a trait, some; null is the group without it.
            'by' => ['required_with:groups', 'string', 'max:20'],
            'groups' => ['sometimes', 'array', 'min:1', 'max:500'],
            'groups.*' => ['nullable', 'string', 'max:2000'],
            'mark' => ['sometimes', 'nullable', 'in:'.implode(',', array_column(Mark::cases(), 'value'))],
            'reason' => ['nullable', 'string', 'max:500'],
            'fit' => ['sometimes', 'nullable', 'integer', 'between:0,5'],
            'intent' => ['sometimes', 'nullable', 'in:buy,compare,learn,open'],
            'stage' => ['sometimes', 'nullable', 'in:top,middle,bottom'],
            'target' => ['sometimes', 'nullable', 'integer', 'between:1,100'],
            'note' => ['sometimes', 'nullable', 'string', 'max:5000'],
            'topic' => ['sometimes', 'nullable', 'string', 'max:400'],
            'pinned' => ['sometimes', 'nullable', 'boolean'],
            'difficulty' => ['sometimes', 'nullable', 'numeric', 'between:0,100'],
            'tag' => ['sometimes', 'string', 'min:1', 'max:60'],
            'untag' => ['sometimes', 'string', 'max:60'],
            'seen' => ['sometimes', 'integer', 'min:0', 'max:9007199254740991'],
        ];
    }

    public function order(?Comparison $comparison): DecisionInput
    {
        $valid = $this->validated();
        /**
         * @var array{mark?: ?string, reason?: ?string, fit?: ?int, intent?: ?string, stage?: ?string, target?: ?int, note?: ?string,
         *     topic?: ?string, pinned?: ?bool, difficulty?: ?float} $columns
         */
        $columns = array_intersect_key($valid, array_flip(self::COLUMNS));
        if (isset($columns['topic'])) {
            $columns['topic'] = KeywordKey::of($columns['topic']);
        }
        $text = fn(string $field): ?string => $this->string($field)->trim()->value() ?: null;
        if ($columns === [] && $text('tag') === null && $text('untag') === null) {
            throw UserError::because(
                'decision',
                'Nothing to change. Send a mark, fit, intent, stage, target, note, topic, pin, difficulty or tag.',
            );
        }

        return new DecisionInput(
            $this->named($comparison),
            $columns,
            $text('tag'),
            $text('untag'),
        );
    }

    /** @return list<string> */
    private function named(?Comparison $comparison): array
    {
        return match (true) {
            $this->has('keywords') => $this->keywordKeys(),
            $comparison === null => throw UserError::because('show', 'Nothing has been compared yet. Import rankings first.'),
            $this->has('topics') => self::open($comparison, Texts::list($this->array('topics'))),
            $this->has('groups') => $this->grouped($comparison),
            default => self::shown($comparison, Sentence::parse($this->string('show')->value()), $this->string('list')->value()),
        };
    }

    /**
     * @param list<string> $topics
     *
     * @return list<string> the open keywords of some topics
     */
    private static function open(Comparison $comparison, array $topics): array
    {
        $keywords = ListedRows::of($comparison, Sentence::parse('mark=kept'), self::gate($comparison))
            ->whereIn('topic', $topics)
            ->orderBy('keyword');

        return Texts::list($keywords->pluck('keyword')->all())
            ?: throw UserError::because('topics', 'None of these topics has an open keyword.');
    }

    /** @return list<string> the opportunities of some groups */
    private function grouped(Comparison $comparison): array
    {
        $names = array_map(static fn(mixed $name): ?string => \is_string($name) ? $name : null, $this->array('groups'));
        $sentence = Sentence::parse($this->string('show')->value());
        $rows = GroupsQuery::inside($comparison, $sentence, self::gate($comparison), $this->string('by')->value(), array_values($names));

        return self::within($rows);
    }

    /** @return list<string> */
    private function keywordKeys(): array
    {
        return array_values(array_unique(array_map(KeywordKey::of(...), Texts::list($this->array('keywords')))));
    }

    /** @return list<string> all that a list shows with the sentence, not only what a screen has loaded */
    private static function shown(Comparison $comparison, Sentence $sentence, string $list): array
    {
        $listed = static fn(Sentence $sentence): Builder => ListedRows::of($comparison, $sentence, self::gate($comparison));
        $rows = match ($list) {
            'weigh' => $listed($sentence),
            // Every open keyword of a page that a keyword brings in.
            'pages' => $listed(Sentence::parse('mark=kept'))->whereIn('topic', $listed($sentence)->select('comparison_rows.topic')),
            default => (new ComparisonRows($comparison))->query($sentence),
        };

        return self::within($rows);
    }

    /** @return list<string> */
    private static function within(Builder $rows): array
    {
        $keywords = $rows->orderBy('keyword')->limit(self::MOST + 1)->pluck('keyword')->all();

        return \count($keywords) > self::MOST
            ? throw UserError::because('show', 'Change at most 50,000 keywords at once. Narrow the sentence.')
            : Texts::list($keywords);
    }

    private static function gate(Comparison $comparison): FitGate
    {
        return Study::query()->findOrFail($comparison->study_id)->rulebook()->fitGate();
    }
}
