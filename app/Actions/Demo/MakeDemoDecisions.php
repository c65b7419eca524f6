<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Decisions\DecisionInput;
use App\Actions\Decisions\RecordDecision;
use App\Actions\Plans\OwnerCapacities;
use App\Models\Annotation;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Mark;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use App\Support\Texts;
use Illuminate\Support\Facades\DB;

/**
 * What two people have decided about keywords of the demo: a shortlist with reasons, what was set aside, tags and notes; and what they know
 * beside it: dated notes, and the days they have.
 */
final readonly class MakeDemoDecisions
{
    /** Sentence → why its keywords are set aside. */
    private const SET_ASIDE = [
        'text=second hand' => 'we sell nothing second hand',
        'text=used' => 'we sell nothing second hand',
        'text=wholesale' => 'no trade customers',
        'text=comb clover' => 'the name of another shop',
        'text=allergic' => 'we give no medical advice',
    ];
    private const REASONS = [
        'spring range, in stock by February',
        'asked for at the counter every week',
        'good margin',
        'page one is thin there',
        'the course season begins in February',
        'goes with the pages about hives',
    ];
    private const SHORTLISTED = 12;

    /** Tag → sentence of the keywords that bear it. */
    private const TAGS = [
        'spring range' => 'text=hive tool;volume>=50',
        'needs photographs' => 'text=how to build;volume>=20',
        'ask the workshop' => 'text=dimensions;volume>=30',
    ];
    private const NOTES = [
        'Rowan says the supplier changes in March; wait for the new pictures.',
        'We answered this at the winter meeting; the notes are in the shared folder.',
        'Their page is from 2021. Ours can be the one with prices.',
    ];

    /** Day → what happened then that no figure knows. */
    private const ANNOTATIONS = [
        '2026-07-06' => 'hivewright.example rebuilt its site',
        '2026-09-14' => 'Our shop has a new checkout',
    ];

    /** Days a month that each of the two has for the roadmap. */
    private const CAPACITY = 12.0;

    public function __construct(private RecordDecision $decide)
    {
    }

    public static function isDone(Study $study): bool
    {
        return DB::table('decisions')->where('study_id', $study->id)->exists();
    }

    public function execute(Study $study, Comparison $comparison, DemoPeople $people): void
    {
        [$editor, $administrator] = [$people->editor->id, $people->administrator->id];
        foreach (self::SET_ASIDE as $show => $reason) {
            $this->decided($study, self::shown($comparison, $show), ['mark' => Mark::SetAside->value, 'reason' => $reason], $administrator);
        }
        foreach (self::TAGS as $tag => $show) {
            $keywords = self::shown($comparison, $show);
            $keywords === [] || $this->decide->execute($study, new DecisionInput($keywords, [], $tag), $editor);
        }
        $leads = array_values(BestTopics::of($study, $comparison, self::SHORTLISTED));
        foreach (self::REASONS as $number => $reason) {
            $keywords = array_values(array_filter(
                $leads,
                static fn(int $place): bool => $place % \count(self::REASONS) === $number,
                ARRAY_FILTER_USE_KEY,
            ));
            $this->decided($study, $keywords, ['mark' => Mark::Shortlisted->value, 'reason' => $reason], $people->turn($number)->id);
        }
        foreach (self::NOTES as $number => $note) {
            $this->decided($study, \array_slice($leads, 2 * $number, 1), ['note' => $note], $people->turn($number + 1)->id);
        }
        foreach (self::ANNOTATIONS as $day => $text) {
            Annotation::query()->create(['study_id' => $study->id, 'user_id' => $editor, 'day' => $day, 'text' => $text]);
        }
        foreach ([$people->editor, $people->administrator] as $person) {
            OwnerCapacities::set($study, $person->name, self::CAPACITY);
        }
        $this->decided($study, \array_slice($leads, 0, 1), ['fit' => 5], $editor);
        $this->decided($study, \array_slice($leads, 1, 1), ['pinned' => true], $administrator);
    }

    /**
     * @param list<string>                                                                        $keywords
     * @param array{mark?: ?string, reason?: ?string, note?: ?string, fit?: ?int, pinned?: ?bool} $columns
     */
    private function decided(Study $study, array $keywords, array $columns, int $user): void
    {
        if ($keywords !== []) {
            $this->decide->execute($study, new DecisionInput($keywords, $columns), $user);
        }
    }

    /** @return list<string> */
    private static function shown(Comparison $comparison, string $show): array
    {
        return Texts::list((new ComparisonRows($comparison))->query(Sentence::parse($show))->orderBy('keyword')->pluck('keyword')->all());
    }
}
