"""What menus do about other programs and machines: in time with them, controls that are bound to ours."""

from chronotome.engine.control import InTime
from chronotome.session.edits.tempo import set_tempo_at
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

IN_TIME_WORDS = {InTime.NOTHING: tr("None"), InTime.JACK: tr("JACK"), InTime.CLOCK: tr("MIDI clock")}
SYNC_WORDS = {
    InTime.NOTHING: tr("Sync: none"),
    InTime.JACK: tr("Sync: JACK"),
    InTime.CLOCK: tr("Sync: MIDI clock"),
}


class OtherCommands:
    """One method for each thing that can be done."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    def keep_in_time(self, wanted: InTime) -> None:
        """Start, stop and be at a place together with others, from now on and at the next start."""
        desk = self._desk
        desk.preferences.keep(in_time=wanted.name.lower())
        if wanted is InTime.NOTHING:
            desk.say(tr("Sync is off"))
        elif wanted is InTime.JACK:
            desk.say(tr("Start, stop and position are shared with all JACK programs"))
        else:
            desk.say(tr("A MIDI clock starts and stops playback; its tempo is shown"))

    def is_in_time(self, wanted: InTime) -> bool:
        return self._desk.in_time.wanted is wanted

    def use_clock_tempo(self) -> None:
        """The song takes the tempo of the clock that comes in."""
        desk, tempo = self._desk, self._desk.in_time.tempo
        if tempo is None:
            desk.say(tr("No MIDI clock received. Choose Sync: MIDI clock in Play, then start it."))
            return
        here = desk.transport.position
        desk.store.apply(
            lambda session: set_tempo_at(session, session.beat_of(here), tempo),
            tr("Song tempo set from the clock: {0:.2f} bpm", tempo),
        )
