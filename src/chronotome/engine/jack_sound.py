"""JACK's side of the two interfaces: an output and an input on one client."""

from chronotome.engine.jack_client import JackClient
from chronotome.engine.other_rate import OtherRate, OtherRateHeard
from chronotome.engine.output import rate_words
from chronotome.engine.streams import Hear, Process

JACK = "JACK"
"""The name of a device, beside those that PortAudio has."""


class JackOutput:
    """What the process makes sounds from the client's main ports."""

    def __init__(self, process: Process, client: JackClient, rate: int) -> None:
        self._process, self.client = process, client
        self._other = None if rate == client.rate else OtherRate(process, rate, client.rate)
        self.words = rate_words(JACK, rate, client.rate)

    @property
    def latency(self) -> float:
        """As the server says it, and what lies ready where rates differ."""
        return self.client.out_latency + (0.0 if self._other is None else self._other.lead)

    @property
    def dropouts(self) -> int:
        """Cycles that were left out while something sounded."""
        return self.client.dropouts

    @property
    def holds(self) -> bool | None:
        """The server has its own block, and counts what it leaves out."""
        return True

    @property
    def is_alive(self) -> bool:
        return self.client.is_alive

    @property
    def is_resampled(self) -> bool:
        """Whether the server has another rate than the session."""
        return self._other is not None

    @property
    def ahead(self) -> float:
        """Frames of the session that were asked for and do not sound in this cycle yet."""
        return 0.0 if self._other is None else self._other.ahead

    def start(self) -> None:
        self.client.open_output(self._process if self._other is None else self._other.process)

    def stop(self) -> None:
        """The client is closed by who opened it."""


class JackInput:
    """What the client's two inputs hear."""

    def __init__(self, hear: Hear, client: JackClient, rate: int) -> None:
        self._client = client
        self._hear = hear if rate == client.rate else OtherRateHeard(hear, rate, client.rate).hear
        self.words = rate_words(JACK, rate, client.rate)

    def start(self) -> None:
        self._client.open_input(self._hear)

    def stop(self) -> None:
        self._client.close_input()
