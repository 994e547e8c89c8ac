"""The switch *In time with*, in the audio process: others are followed and led, or nobody is."""

from chronotome.engine.control import Control, InTime, Word
from chronotome.engine.jack_sound import JackOutput
from chronotome.engine.jack_transport import JackTransport
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import Output


class InTimeWith:
    """Looks at what is wanted, from the audio process's main loop; acts in the thread that makes sound."""

    def __init__(self, control: Control, mixer: Mixer) -> None:
        self._control, self._mixer = control, mixer
        self._transport: JackTransport | None = None
        self._output: JackOutput | None = None

    def look(self, output: Output) -> None:
        """Follow who is wanted, where that can be: JACK's transport only while JACK makes the sound."""
        wanted = self._control.get(Word.IN_TIME)
        jack = output if wanted == InTime.JACK and isinstance(output, JackOutput) else None
        if jack is not self._output:
            self.close()
            if jack is not None:
                self._begin(jack)
        if self._transport is not None and self._control.beats.is_there and not self._transport.has_led:
            self._transport.lead()
        self._control.put(Word.IS_IN_TIME, int(jack is not None or wanted == InTime.CLOCK))

    def close(self) -> None:
        """Nobody is followed."""
        if self._output is not None:
            self._output.client.before = None
        if self._transport is not None:
            self._transport.close()
        self._mixer.leader = self._transport = self._output = None

    def _begin(self, output: JackOutput) -> None:
        self._output = output
        self._transport = output.client.transport(self._control.get(Word.RATE), self._control.beats)
        self._mixer.leader = self._transport
        output.client.before = self._cycle

    def _cycle(self, frames: int) -> None:
        """In JACK's thread, before sound is made."""
        transport, output, mixer = self._transport, self._output, self._mixer
        if transport is None or output is None:
            return
        answer, is_rolling = transport.cycle(frames, mixer.now)
        if answer.is_stop:
            mixer.halt()
        elif answer.be_at is not None:
            ahead = round(output.ahead) if is_rolling else 0
            mixer.follow(answer.be_at + ahead, is_playing=is_rolling)
