"""What actions need, and the sentence that says so where it is missing: menus show both."""

from collections.abc import Callable
from functools import partial
from typing import TYPE_CHECKING, NamedTuple

from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

if TYPE_CHECKING:
    from chronotome.ui.commands.general import Commands


class Need(NamedTuple):
    """Whether it is there, and what to do where it is not."""

    holds: Callable[[], bool]
    words: str


class _Here:
    """What is there now: one property a need."""

    def __init__(self, desk: UiContext, commands: "Commands") -> None:
        self._desk, self._view, self._commands = desk, desk.view, commands

    @property
    def track(self) -> bool:
        return bool(self._desk.session.tracks)

    @property
    def tracks(self) -> bool:
        return len(self._desk.session.tracks) > 1

    @property
    def recording(self) -> bool:
        track = self._view.chosen.focused
        return track is not None and any(clip.take.playing is None for clip in track.clips)

    @property
    def clip(self) -> bool:
        return self._view.chosen.clip is not None

    @property
    def onsets(self) -> bool:
        clip = self._view.chosen.clip
        return clip is not None and len(self._desk.session.recording_of(clip).onsets) > 0

    @property
    def selection(self) -> bool:
        chosen = self._view.chosen
        is_span = chosen.range is not None
        return is_span or any((chosen.clips, chosen.hits, chosen.steps, chosen.onsets))

    @property
    def sliced(self) -> bool:
        clip = self._view.chosen.clip
        return clip is not None and clip.take.slices is not None

    @property
    def pattern(self) -> bool:
        return self._desk.pattern is not None

    @property
    def steps(self) -> bool:
        return bool(self._view.chosen.steps)

    @property
    def kit(self) -> bool:
        return self._commands.kits.kit is not None

    @property
    def groove(self) -> bool:
        return self._desk.groove is not None

    @property
    def loop(self) -> bool:
        return self._desk.session.loop is not None

    @property
    def locked(self) -> bool:
        track = self._view.chosen.focused
        return track is not None and self._desk.session.group_of(track.id) is not None

    @property
    def section(self) -> bool:
        return self._commands.sections.here is not None

    @property
    def tempo_change(self) -> bool:
        return self._commands.song.has_tempo_change

    @property
    def metre_change(self) -> bool:
        return self._commands.song.has_metre_change

    @property
    def stopped(self) -> bool:
        return bool(self._desk.recordings.stopped)

    @property
    def sections(self) -> bool:
        return bool(self._desk.session.sections)


NEEDED = (
    (
        "track",
        tr("Needs a track. Open a recording (Ctrl+O)."),
        """template pack loop export share export-stems tempo-midi choose-all zoom-in zoom-out fit listen
        tempo-here metre-here add-section rename-track remove-track mute solo track-taller track-lower
        bounce-track
        grid-finer grid-coarser grid-ruler next-feel next-swing-of next-for keep-variant
        lane-drift lane-groove lane-match lane-loudness strength-more strength-less swing-more swing-less""",
    ),
    (
        "tracks",
        tr("Needs two tracks. Open another recording (Ctrl+O)."),
        "track-below track-above track-up track-down lock lock-all fold",
    ),
    ("locked", tr("Needs locked tracks. Lock this track first (Ctrl+L)."), "make-guide unlock"),
    (
        "recording",
        tr("Needs a track with a recording. Open one (Ctrl+O)."),
        """find-hits add-onset tap beat-one half-time double-time song-tempo fewer-bars more-bars half-bars
        double-bars as-measured follow-nobody import-marks flip tie-here by-ear""",
    ),
    (
        "onsets",
        tr("Needs onsets. Detect them in Mark, or lower Threshold."),
        "as-found export-marks once-more once-less reset-hits take-groove take-groove-4",
    ),
    (
        "clip",
        tr("Needs a clip. Open a recording (Ctrl+O)."),
        """cut split-hits split-bars apart apart-marks apart-bars apart-1-4 apart-1-8 apart-1-16 apart-1-32
        apart-parts put-on-keys pattern next-way own-moving next-keeps next-fill next-crossing own-recipe
        share-bands rename-clip keep-whole""",
    ),
    (
        "sliced",
        tr("Needs a sliced clip. Slice it first (Ctrl+H)."),
        """whole fills choose-alike choose-low choose-mid choose-high choose-louder choose-every
        choose-others""",
    ),
    (
        "pattern",
        tr("Needs a pattern. Convert a clip first (Ctrl+P)."),
        """pattern-save pattern-midi pattern-again pattern-vary pattern-longer pattern-shorter rounds-more
        rounds-fewer chance-again chance-keep layer-up layer-down step-here""",
    ),
    (
        "kit",
        tr("Needs a kit. Create one from hits first (Ctrl+U)."),
        "add-to-keys kit-fits declick kit-sfz pattern-empty play-keys play-in play-notes",
    ),
    (
        "steps",
        tr("Needs a selected step. Click one in a pattern."),
        "step-up step-down choose-same",
    ),
    (
        "groove",
        tr("Needs a groove. Extract one first (Shift+G)."),
        """write-groove keep-groove smooth-groove mirror-groove rotate-back rotate-on groove-1 groove-2
        groove-4 remove-groove""",
    ),
    (
        "loop",
        tr("Needs a loop. Drag over the ruler."),
        "pull-loop hear-join own-recording tempo-ramp tempo-tap",
    ),
    (
        "section",
        tr("Needs a section at the playhead. Add one (Ctrl+M)."),
        "rename-section remove-section loop-section",
    ),
    ("tempo_change", tr("Needs a tempo change before the playhead. Set one first."), "tempo-gone tempo-even"),
    (
        "metre_change",
        tr("Needs a metre change before the playhead. Set one first."),
        "metre-gone",
    ),
    ("stopped", tr("Nothing to read again. No reading was cancelled."), "read-again"),
    ("sections", tr("Needs a section. Add one (Ctrl+M)."), "next-section previous-section"),
    (
        "selection",
        tr("Needs a selection. Click a hit or a clip, or drag over several."),
        "select-none loop-selection",
    ),
)
"""What is needed, the words where it is not there, and the names of the actions that need it."""


def needs_of(desk: UiContext, commands: "Commands") -> dict[str, Need]:
    """By the name of each action that cannot always be done."""
    here = _Here(desk, commands)
    return {
        name: Need(partial(getattr, here, kind), words)
        for kind, words, names in NEEDED
        for name in names.split()
    }
