<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

use App\Models\Study;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\TestCase;

/** Asks, on one and the same day, and holds each answer against the one that is written down. */
abstract class AnswersCase extends TestCase
{
    protected Study $study;

    protected AnswerBook $book;

    /** @var list<string> what is another each time */
    protected array $secrets = [];

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-20T09:00:00Z');
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    protected function begin(string $name): void
    {
        $this->book = new AnswerBook($name, $this->secrets);
    }

    protected function at(string $path): string
    {
        return rtrim("/api/v1/studies/{$this->study->slug}/{$path}", '/');
    }

    protected function ask(string ...$paths): void
    {
        foreach ($paths as $path) {
            $answer = $this->getJson($this->at($path));
            self::assertTrue($answer->isOk(), $path.': '.substr((string) $answer->getContent(), 0, 400));
            $this->book->add($path, $answer->json());
        }
    }

    /** What a page says, without its looks. */
    protected function read(string $name, string $path): void
    {
        $page = (string) $this->get($this->at($path))->assertOk()->getContent();
        $this->book->add($name, preg_replace('/\s+/', ' ', strip_tags($page)));
    }

    protected function take(string ...$paths): void
    {
        foreach ($paths as $path) {
            $answer = $this->get($this->at($path));
            self::assertTrue($answer->isOk(), $path.': '.substr((string) $answer->getContent(), 0, 400));
            $this->book->add((string) preg_replace('~/\d+/~', '/*/', $path), $this->lines($answer));
        }
    }

    /**
     * @param TestResponse<Response> $response
     *
     * @return array{list<string>}
     */
    protected function lines(TestResponse $response): array
    {
        $text = $response->baseResponse instanceof StreamedResponse
            ? $response->streamedContent()
            : (string) $response->getContent();

        return [explode("\n", $text)];
    }

    /**
     * Orders something, which may well be refused.
     *
     * @param array<string, mixed> $order
     *
     * @return array<mixed> the answer
     */
    protected function tell(string $method, string $path, array $order = []): array
    {
        $answer = $this->json($method, str_starts_with($path, '/') ? "/api/v1{$path}" : $this->at($path), $order);
        $question = $method.' '.preg_replace('~/\d+~', '/*', $path).' '.json_encode($order, JSON_THROW_ON_ERROR);
        $told = (array) ($answer->getContent() === '' ? [] : $answer->json());
        $this->book->add($question, ['status' => $answer->getStatusCode(), ...$told]);

        return $told;
    }
}
