<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/**
 * One clause that a sentence can have: what it is called, how it reads, what it can say. The screen, the API and the documents take it
 * from here.
 */
final readonly class ClauseKind
{
    /**
     * @param string                $lead     words before it in a sentence
     * @param string                $example  as it is written, understood for a study with two competitors
     * @param array<string, string> $choices  value → how it reads
     * @param string                $start    how it begins when it is added; empty where a person has to say something first
     * @param list<float|int>       $steps    round figures that are offered
     * @param string                $noun     what a range is about
     * @param string                $help     beside the field of a text
     * @param string                $tail     words behind what a text says
     * @param bool                  $isOffered can be added from the list of clauses
     */
    private function __construct(
        public string $name,
        public ClauseForm $form,
        public string $title,
        public string $meaning,
        public string $example,
        public string $lead = '',
        public array $choices = [],
        public string $start = '',
        public array $steps = [],
        public string $noun = '',
        public bool $hasDistribution = false,
        public bool $isShare = false,
        public string $label = '',
        public string $help = '',
        public string $tail = '',
        public bool $isOffered = true,
    ) {
    }

    /** @param list<float|int> $steps */
    public static function range(
        string $name,
        string $title,
        string $meaning,
        string $start,
        array $steps,
        bool $hasDistribution = false,
        bool $isShare = false,
    ): self {
        return new self(
            $name,
            ClauseForm::Range,
            $title,
            $meaning,
            $start,
            '',
            [],
            $start,
            $steps,
            $title === 'CPC' ? $title : mb_strtolower($title),
            $hasDistribution,
            $isShare,
        );
    }

    /** @param array<string, string> $choices */
    public static function choices(
        string $name,
        string $title,
        string $meaning,
        string $lead,
        array $choices,
        string $start,
    ): self {
        return new self(
            $name,
            ClauseForm::Choices,
            $title,
            $meaning,
            "{$name}={$start}",
            $lead,
            $choices,
            "{$name}={$start}",
        );
    }

    /** @param array<string, string> $choices */
    public static function choice(string $name, string $title, string $meaning, string $lead, array $choices, string $start): self
    {
        return new self($name, ClauseForm::Choice, $title, $meaning, "{$name}={$start}", $lead, $choices, "{$name}={$start}");
    }

    public static function text(
        string $name,
        string $title,
        string $meaning,
        string $lead,
        string $start,
        string $label,
        string $help,
        string $tail = '',
    ): self {
        return new self($name, ClauseForm::Text, $title, $meaning, $start, $lead, [], $start, label: $label, help: $help, tail: $tail);
    }

    public static function of(
        string $name,
        ClauseForm $form,
        string $title,
        string $meaning,
        string $example,
        string $lead = '',
        string $start = '',
        string $label = '',
        string $help = '',
        bool $isOffered = true,
    ): self {
        return new self(
            $name,
            $form,
            $title,
            $meaning,
            $example,
            $lead,
            [],
            $start,
            label: $label,
            help: $help,
            isOffered: $isOffered,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'form' => $this->form->value,
            'title' => $this->title,
            'meaning' => $this->meaning,
            'example' => $this->example,
            'lead' => $this->lead,
            'operators' => $this->form->operators(),
            'choices' => array_map(
                static fn(string $value, string $words): array => ['value' => $value, 'words' => $words],
                array_map(strval(...), array_keys($this->choices)),
                $this->choices,
            ),
            'start' => $this->start,
            'steps' => $this->steps,
            'noun' => $this->noun,
            'has_distribution' => $this->hasDistribution,
            'is_share' => $this->isShare,
            'label' => $this->label,
            'help' => $this->help,
            'tail' => $this->tail,
            'is_offered' => $this->isOffered,
        ];
    }
}
