<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1">
<context>
    <name>Chronotome</name>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>
&lt;p&gt;&lt;b&gt;Symbols&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;▼ above the wave: an onset. Hollow: below the threshold.&lt;br&gt;
◆ on the ruler: a warp marker set by hand. ◇: placed by Tighten.&lt;br&gt;
▲ early, ▼ late, ○ within tolerance: a hit as played. Small ring: its target.&lt;br&gt;
Hatching under the wave: stretched by the printed ratio.&lt;br&gt;
Ochre: a place to check. N goes to the next one.&lt;/p&gt;
&lt;p&gt;■ ● ▲ on a stem: low, mid, high. A bar under an onset: pinned.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Mouse in Mark&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click an onset or a stem: play its hit. Shift+click: select up to it.&lt;br&gt;
Drag an onset: correct it; the audio stays. Ctrl+drag: slip the audio; the onset stays.&lt;br&gt;
Shift or Alt while dragging: no snap.&lt;br&gt;
Double-click the wave: add an onset. Double-click an onset: delete or keep it. Drag over the wave or the
stems: select.&lt;br&gt;
In the magnifier, one pixel is one sample.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Mouse in Fit&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Drag a beat or a bar in the Pulse lane. After a long drag of a bar, later bars are counted again.&lt;br&gt;
Double-click a diamond: reset it.&lt;br&gt;
Click a faint line: use that tempo. Ctrl+drag the end of the recording: set its length in bars.&lt;br&gt;
Click a section: go there. Double-click: loop it. Drag its ends: resize it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Mouse in Tighten&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Shift+click an onset or a triangle: select more hits. Drag over the wave or the Drift lane: select
several.
Selected hits move together. Ctrl+drag: hold the neighbours. A drag stops at the stretch limit;
Alt ignores the limit. Double-click the wave: add a warp marker and hold its neighbours.&lt;br&gt;
Groove: drag a step up or down. Shift+drag: draw over steps. Ctrl+drag: loudness. Double-click: reset the
step.&lt;br&gt;
Match: drag the end of a line, or an unpaired hit, onto another hit to pair them.&lt;br&gt;
In the folded bar, click a step to select its hits in all bars. Click a span under the ruler to edit its
settings;
drag its ends to resize it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Mouse in Rework&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click a clip title: select the clip. Shift+click: select more. Drag: move in grid steps, also to
another track.
Ctrl+drag: copy. Drag the edges: trim; the audio stays in place.&lt;br&gt;
Drag the rings at the upper corners: fade. Drag the arrow at the lower corner: repeat.&lt;br&gt;
Drag over waves, also of several tracks: select a range. X splits at its ends. Copy, cut, duplicate,
delete, reverse
and mute act on the range. Shift+L loops it, Esc clears it.&lt;br&gt;
Curves where clips overlap: a crossfade. A dashed outline: muted. An arrow to the left: reversed.&lt;br&gt;
Drag a track header: move the track. Drag its lower edge: resize or fold the lane.
Double-click the name of the large track: rename it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Hits of a sliced clip (Ctrl+H)&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click a hit: select and play it. Shift+click: select more. Drag: move it to a line.
Ctrl+drag: copy. Drag its end: change its length. Drag along the bottom edge, or in a gap: select
several.&lt;br&gt;
Signs at the bottom edge: ← reversed, ×4 or ≣ roll, +3 pitch, ~ randomised.&lt;br&gt;
Shape: draw values over hits. Shift: line. Ctrl: curve up and back. Alt: no steps. Drag the ring
of a selected hit: change all selected hits. Double-click: type a value. Up and down arrows: nudge it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Patterns and keys (Ctrl+U, Ctrl+P, F8)&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click or drag on empty cells: add steps. Drag a step: move it. Drag its end: lengthen it. Ctrl+drag up
or down:
loudness. Ctrl+Shift+drag: chance. Ctrl+Alt+drag: repeats. Right-drag: delete. Click the key of a row:
select its steps.&lt;br&gt;
The length of a bar is the length of the sound, its height the loudness. Dashed: plays by chance, filled
to the chance.
Divided: repeats.&lt;br&gt;
While letter keys play (F8): , and . show more slices, Backspace removes the last pass, Esc ends it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Mouse in every stage&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Wheel: scroll. Ctrl+wheel: zoom at the pointer.&lt;br&gt;
Drag a drift mark, an onset or a diamond: move its hit. Alt: no snap. Escape: cancel the drag.&lt;br&gt;
Double-click a mark: reset it.&lt;br&gt;
Drag over the ruler: loop that span.&lt;/p&gt;
</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>
{0} bpm, {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source> You are opening {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source> and </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source> and {0} more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source> as {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source> of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source> on {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source> selected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source> · swing {0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>+1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>+5 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>+5 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough_joins.py"/>
        <source>+{0:.0f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>, accurate to ±{0:.1f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>, audible</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>, chance {0} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>, drifting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>, pinned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>, ripple</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>, {0:.0f} % sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>, {0} hidden</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>, {0} to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>, {0} undone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>. Problem: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>1 Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>1 bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 8</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/16 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/2 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/32 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/4 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/8 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>16 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>2 Fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>2 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>24 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>3 Tighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>4 Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>5 Export</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>A MIDI clock starts and stops playback; its tempo is shown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>A clip holds at most {0:,} hits. Added {1:,}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>A pattern keeps the song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>A snapshot keeps all Tighten settings. Save another, then compare: Shift+V</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>A template keeps tempo, metre, grooves, sections and track
settings, but no audio. Name:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>A triangle shows a hit as played, the ring shows its target. Drag a triangle up or down.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>About Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Acceleration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Accent beat one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Accent off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Accept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Accept place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Access key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Add a folder with audio files or patterns. The files stay unchanged.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Add cycle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Add empty track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add folder of audio files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Add hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Add hits to kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Add layer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Add noise to hide rounding to 16 bits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Add octave layer above</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Add octave layer below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Add onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Add onset by ear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Add onsets at {0} equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Add onsets on grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Add section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Add section…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Add step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Add step at playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>Add steps first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Add the tail after the loop end to the loop start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Add track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Add warp marker</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Add {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Added {0} to the kit: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>All</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>All audio is converted to this rate and keeps its place. Undo restores the old rate.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/folded_bar.py"/>
        <source>All bars folded into one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>All settings below are for these alone now. “track” shows those of the rest.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Already sliced. X splits a hit, Ctrl+Shift+H removes the slicing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Also applies to the open session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Amount</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>Analysing hits of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Appearance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Apply suggested fix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Apply to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>As played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>As played or edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>As {0}: remove {1} of the tempo drift of each file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>As {0}: {1} to {2}, {3}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>Ask later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Ask the sender to pack the session again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Assign slice to key {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Assignment</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>At bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>At hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>At most {0} can be opened. Shorten the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>At most {0} can be played. Shorten the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>At song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Attack of all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Attraction</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Audible joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Audible: right-click for a fix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Audio</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Audio ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Audio and sessions ({0} session.json *{1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Audio input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Audio output</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Automatic</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Autosave</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>Autosave of the last edit failed. Save the session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>Autosave to “{0}” failed: {1}. Save often.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>BAR</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/manual.py"/>
        <source>Back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Back 8 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Back one bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Bar 1 moved right by {0}, because the pickup starts before it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Bar number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bars of the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat one  {0}  {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat one not set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat source</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Beat ←</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Beat →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beats of the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Bias</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Bit depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend grooves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend with another groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Bounce</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Bounce in place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Bounce to new track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Bounce whole track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Bounce {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>Bounced. What it was made of is kept on the muted track {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Bouncing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Bpm from {0} on:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Bpm of {0}:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Buffer size (samples)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Cache</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Cache cleared. Recordings are analysed again when you open them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Calibrate tapping</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Calibrate tapping…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Cancel this task</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>Cancelled. Nothing was changed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Cancelled. The upload was removed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Cannot add a layer to a layer. Detach it first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Cannot bounce: the session changed meanwhile. Bounce again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>Cannot find {0}. Choose the file, or a folder that contains it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Cannot move the onset: it is pinned, or touches its neighbour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Cannot paste: {0} is missing from this session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>Cannot reach the server ({0}). Check the address and the network.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>Cannot read the recovered edits in “{0}” ({1}).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Cannot set {0:g} bars: the tempo must be 20 to 400 bpm and different from now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Cannot split here: one part would be empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/applying.py"/>
        <source>Cannot use media keys: the desktop has no session bus</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>Cannot write “{0}”. Choose another folder and an extension such as .png.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>Cannot write “{0}”: {1}. {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Chance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Chance and repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Change crossfade curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Change gap fill</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Change length with pitch of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Change method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/metre.py"/>
        <source>Change metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Change metre here…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Change metre…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Change pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Change pitch mode of kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Change stretch mode of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Change the permissions of the file, or copy it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Changes stay in the other window. You can open a copy here and save it under another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>Check that it is a MIDI file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Check that it is the right file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Check that it is the right folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Check the file and its level.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Check the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Check the name and the folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>Check the name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Checking joins: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Checking joins…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Choke group</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Choke group of selected slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/tempo_in.py"/>
        <source>Choose a MIDI file, or a JSON file exported from here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>Choose a clip that plays a pattern.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose a file in that folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Choose a file made with Pack session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose a file with audio.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a folder that contains session.json.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/loop_file.py"/>
        <source>Choose a longer loop.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a new or empty folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose a preset saved with Process files.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a session folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>Choose a smaller file format.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose an audio file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Choose another file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose another folder, or move the existing one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/shelf.py"/>
        <source>Choose another folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>Choose another guide.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose another preset.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Choose folder with recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Choose folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Choose output folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Choose pattern folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Choose shelf folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Choose takes folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Choose the folder of the pattern.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Choose the folder that contains them, then save again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Choose…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/plain_text.py"/>
        <source>Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Chronotome checks every join as you work. F3 finds anything, F1 opens the manual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Chronotome is under the MIT licence. It ships Inter and JetBrains Mono (SIL Open Font License 1.1) and uses Qt and PySide6 (LGPL 3), NumPy, SciPy and msgspec (BSD), libsndfile and soxr (LGPL 2.1), PortAudio, sounddevice, mido, alsa-midi and JACK-Client (MIT). The folder LICENSES has all of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>Chronotome recovered {0} made since the last save.{1} Restore them?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Chronotome {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/messages.py"/>
        <source>Clear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Clear cache</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>Clear list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Click a groove to preview it on {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_lane.py"/>
        <source>Click a hit to play it, drag to move it, its end to change the length.
Ctrl+drag copies. Drag along the bottom edge to select several.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Click a join to go there, right-click it for fixes. N: next click.
The height of a join is its roughness in dB, compared with the roughest place in the recording.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Click a section to go there, double-click to loop it.
Drag its ends to resize. Right-click for more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Click a span to edit its settings, drag its ends to resize it.
Double-click loops it. Shift+Backspace removes it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Click an onset to play its hit, drag to correct it. Double-click: add.
Double-click an onset to delete it. Ctrl+drag slips the audio. Drag over the wave to select.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>Click to add a step, drag it to move it, its end to lengthen it.
Ctrl+drag: loudness. Ctrl+Shift+drag: chance. Ctrl+Alt+drag: repeats. Right-drag: delete.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Click to set the playhead. Ctrl+drag the end to a bar line.
The recording then has that length in bars.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Click to set the playhead. Drag an onset to move its hit.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>Click to show this track in the large lane and to set the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Clip loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Clip name (empty: name of the track):</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Clip {0} of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Clipboard is empty. Copy clips with Ctrl+C.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Clipboard is empty. Copy hits with Ctrl+C.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Clips of the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Close</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Close other programs, or split the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Close the session there, or save under another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Coarser grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Combine lows and highs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Combine lows and highs…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Combining bands needs a second clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Compare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Compare this step as {0}, without undoing ({1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/likenesses.py"/>
        <source>Comparing hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Connect an output of the audio interface to its input with a cable, or hold the microphone to the loudspeaker. Chronotome plays six short sounds, three times, and measures when they come back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Content</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/manual.py"/>
        <source>Contents</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Contrast</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Convert clip to pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Convert {0} to pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Copy address</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Copy as audio files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Copy clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Copy it to another disk.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Copy report</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Copy rhythm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Copy rhythm from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Copy rhythm from…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Copy rhythm…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Copy tempo to song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Copying a rhythm needs a second clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Correct beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Correct tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Count-in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Create kit from hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Create kit from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Create loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Created pattern “{0}”. The old one stays in the list.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Crossfade</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Crossfade curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Crossfade: +1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Crossfade: −1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Crossover frequency (Hz):</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Current settings: {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Cut clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Cut {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Cutoff</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Cutting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Cycle offset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Cycles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Cycles in which the steps play</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Dark theme</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Decay of all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Declick</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Declick kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Decrease track height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Default metronome sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Default settings. To use your own, open a recording and select its track.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Delete</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Delete clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Delete clip and close gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Delete onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Delete the onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>Delete {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Delete {0} onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Delete {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Delete {} and close gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Delete, close gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Density</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Description</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Deselect</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Detach</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Detach layer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Detect onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Detected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Detecting beats…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>Detecting onsets in {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Devices and sync</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>Discard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Discard the rest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Discard the rest of the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/guarded.py"/>
        <source>Display error. Undo the last step or reopen the session; your work is safe.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Distribution</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Dither</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Divide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Divide into</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Divide into equal steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Double</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Double beats from here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Double number of bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Double pattern length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Double recording tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Double song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Double tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Double time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Double time of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Double time, shorten hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Drag Strength to 100 %: each hit of {0} moves to its line. Changes play at once.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Drag a beat to its place. Double-click a diamond to reset it.
After a long drag, later beats are counted again. Shift: no snap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_lane.py"/>
        <source>Drag a clip title to move it, its edges to trim, its corners to fade.
Ctrl+drag copies. Shift+click selects more. Drag over the wave to select a range.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>Drag a hit or the end of a line onto another hit to pair them.
Ctrl+B removes the selected pair.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>Drag a mark up or down to move its hit. Drag over several to select.
Alt: no snap. Shift+click selects more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Drag a step up or down to change the groove in every bar.
Shift+drag draws over steps. Ctrl+drag changes the loudness.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>Drag a tempo point up, down or along the song. Shift: fine.
Double-click the lane to add a point, a point to type its tempo. Right-click for more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Drag an onset to move its hit. Drag over the wave to select several.
Shift+click selects more. Click sets the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Drag over the ruler first: the span gets its own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Drag over the ruler to set a rough loop first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Drag over the ruler to set the loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag right to repeat the clip.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/overview_strip.py"/>
        <source>Drag the outline to scroll. The wheel scrolls, Ctrl+wheel zooms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>Drag the threshold line. Double-click an onset to keep or delete it.
Drag over several, then press Delete.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to fade in.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to fade out.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to move the clip, Ctrl+drag to copy, drag out of the window to export. Shift: no snap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>Drag to reorder tracks, the lower edge to resize or fold the lane.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/side.py"/>
        <source>Drag to resize, double-click to fold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Drag to set a loop. Drag a diamond to move its hit.
Double-click a diamond to reset it. Drag a metre to another bar. Shift: no snap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to trim. The audio stays in place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Drag: 1 pixel is 1 sample. , and . move by 1 sample, Alt+← and Alt+→ by 1 ms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Draw values over hits. Shift: line. Ctrl: curve. Double-click: type.
Selected hits change together.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Draw values over steps. Shift: line. Ctrl: curve. Double-click: type.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bands.py"/>
        <source>Drawing what is heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>Drift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>Drift of each hit in milliseconds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>Drop a recording here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>Drop failed: no window took the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Duplicate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Duplicate clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Duplicate range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Duplicate {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Duplicate {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/evidence_lane.py"/>
        <source>EARLY</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Each track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Edit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Edit section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Edit span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Edits are also stored at once, so that Chronotome can restore them after a crash.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>End pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>End pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>End the take and turn off input monitoring before measuring the latency</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Enter the tempo.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Enter: run. Escape: close.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Even loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Evenness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Every nth…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Example</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Expand rolls of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Expand rolls to hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Expand to hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>Export</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Export audio…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Export groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Export groove…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Export kit as SFZ…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Export onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Export onsets…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Export pattern as MIDI</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Export pattern as MIDI…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Export slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Export slices…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Export stems…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Export tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Export tempo map…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Export the file again from its source.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>Export the file again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Export the file with at most {0} channels.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Export this much of the tail after the loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Exported tempo map to “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Exported {0} to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Exported “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Exported “{0}” to {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Exporting, then uploading…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Export…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Extend to next hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Extend to previous hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Extract</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Extract 4-bar groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Extract groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Extract groove from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Extracting groove from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>FLAC has no float format. 24 bit is used.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Fade in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Fade in clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Fade length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Fade out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Fade out clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Fade out noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Fades, start, length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>File</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>File dropped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>File format</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>File names</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Files and results</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Files on the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Fill gaps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Fill gaps with tails</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Fill of a lengthened hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Filter bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Filter onsets by grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Find</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Find by name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Find missing recordings…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Find the missing recording first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Find…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Finer grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>First</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>Fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Fit kit to song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Fit kit to tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Fit to tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Five stages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Fix: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Flam window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Fold other tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Fold tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Follow</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Follow song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>For testing without a device: the simulated output stores what it plays, the simulated input plays a shaker.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>For testing: a server on this computer that stores uploads in a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Forward 8 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Forward one bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Free some disk space, or choose another disk.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>Free some disk space, or choose another disk. Your work is safe.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>From here: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>From recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>From the selected bar on:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>From {0} at {1}. Bpm at {2}:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Full screen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Gap fill</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Go to next panel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Go to previous panel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Go to section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Go to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Grid and scope</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Grid follows performance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Grid follows zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Grid from ruler: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Grid shift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Grid type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Grid: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove (*{0});;MIDI (*.mid)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Groove length: 1 bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Groove length: 2 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Groove length: 4 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Groove offsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Groove offsets: same ms at any tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Groove offsets: same share of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Groove: offset of each step in milliseconds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Grooves and recordings (*{0} *.json *.mid *.midi {1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Grooves on the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Group clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Guided tour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Half</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Half time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Half time of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Half time, lengthen hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Halve beats from here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Halve number of bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Halve pattern length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Halve recording tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Halve song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Halve tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Harbour ferry: a street-percussion trio in a stairwell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Help</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>High</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>History</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Hit {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Hit: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Hits and their drift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Hits are bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Hits are beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Hold neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Hold neighbours while dragging</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>How hits moved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Import</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Import groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Import groove…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Import onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Import onsets of a shorter span.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Import onsets…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Include tempo and sections</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Increase track height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Input monitoring is off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Input monitoring is on. With a microphone, use headphones.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/desktop.py"/>
        <source>Install from a folder with a plain name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Instrument</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Invalid file names: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Invert</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Invert polarity</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Invert selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>It plays what {0} plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Its audio is still in memory. Chronotome can write the file again and save.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>Its hits move with those of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>Its polarity is inverted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>JACK is not the audio output</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK outputs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK sets its own buffer size. Keys respond fastest with JACK.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK shares start, stop and position both ways. A MIDI clock starts and stops playback.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>JAMS annotations</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Join</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Join at {0}: {1} dB relative to the roughest place. {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Join {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Joins and their roughness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Keep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Keep as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Keep formants</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Keep hit as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Keep length with pitch of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Keep level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Keep onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Keep original</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Keep original, muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Keep positions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Keep random values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Keep random values of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Keep song at {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Keep song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Keep tempos separate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Keep the onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Keep this cycle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Keep {0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Key of the slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>Keyboard shortcuts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Keyboard shortcuts…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Kinds of checks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Kit pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Kit · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Kits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/evidence_lane.py"/>
        <source>LATE</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Labels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Lane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Lane height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lane height of {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Large lanes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/frame.py"/>
        <source>Large lanes: F9 shows all again. Rest the pointer on a rim for its panel.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Last</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Learn MIDI control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Learn the window in nine steps, with the demo session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>Learning ended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Leave gaps silent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Length of one cycle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>Length: {0:.0f} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Lengthen by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough_joins.py"/>
        <source>Lengthen crossfade</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Lengthen fade</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Letter keys are shortcuts again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Letter keys play {0} of “{1}”. Press , or . for more slices, Escape to end.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Limit onset density</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Listen to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/shelf.py"/>
        <source>Loading {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Local test server</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Lock all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lock all tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Lock below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lock this track to others first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Lock to track below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Lock tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Locked tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Locked tracks move together. The guide sets the amounts.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Locking needs a second track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Loop all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Loop as recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Loop from bar to bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Loop off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Loop pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Loop points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Loop section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Loop selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Loop span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Loop {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Loop: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Louder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Loudness of all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/loudness_lane.py"/>
        <source>Loudness of each hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Lower by {0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Lower noise 12 dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Lower the threshold.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Lows and highs…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Lows of this clip, highs of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>METRE</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>MIDI (*.mid)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>MIDI clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>MIDI clock {0:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>MIDI controls</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>MIDI controls…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI inputs and clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>MIDI inputs and clock…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI inputs that play the keys:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI is unavailable: {0}. The computer keyboard, pads and MIDI files still play.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI note C2 (36) is key Q; higher notes are the next keys. If no input is ticked, all inputs play.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>MIDI notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>MIDI notes (*.mid *.midi)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI outputs that receive the clock, with start, stop and position:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Magnifier: 30 ms on either side of an onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Main only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/manual.py"/>
        <source>Manual</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Mark and fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Match</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Match to take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>Match: paired hits of two takes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Matching needs a second track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measure again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Measure recording latency…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Measure…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measuring…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Media keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/messages.py"/>
        <source>Messages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Metre from bar {0} on:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Metre of {0}:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Metronome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Metronome level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Metronome off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Metronome on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Metronome sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Mirror groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Missing: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Monitor input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>More filters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>More settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Move bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Move beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move beats earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move beats later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Move clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move clip earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move clip later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/noises.py"/>
        <source>Move edge of muted span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Move groove step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/gestures.py"/>
        <source>Move hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Move hit to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Move hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Move metre change</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Move onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Move playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Move steps down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Move steps up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>Move tempo point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Move the folder, or save under another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Move these hits to the times of the hits in:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Move to earlier line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Move to later line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Move to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Move track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move track down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Move track up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>Move {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Move {0} here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/gestures.py"/>
        <source>Move {0} hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Move {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Mute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Mute and solo apply. The metronome is never exported.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Mute clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Mute track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Mute, {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Muted noises</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a clip. Open a recording (Ctrl+O).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a groove. Extract one first (Shift+G).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a kit. Create one from hits first (Ctrl+U).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a loop. Drag over the ruler.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a metre change before the playhead. Set one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a pattern. Convert a clip first (Ctrl+P).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a section at the playhead. Add one (Ctrl+M).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a section. Add one (Ctrl+M).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a selected step. Click one in a pattern.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a selection. Click a hit or a clip, or drag over several.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a sliced clip. Slice it first (Ctrl+H).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a tempo change before the playhead. Set one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a track with a recording. Open one (Ctrl+O).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs a track. Open a recording (Ctrl+O).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs locked tracks. Lock this track first (Ctrl+L).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs onsets. Detect them in Mark, or lower Threshold.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Needs two tracks. Open another recording (Ctrl+O).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Neighbours of a moved hit {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>New</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>New empty pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>New folder for the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>New folder for the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>New folder for the slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>New folder for the stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>New folder for “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/file_menus.py"/>
        <source>New from template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>New pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>New recorded pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>New session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>New window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Next</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>Next check  N</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next crossfade curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next gap fill</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next grid type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Next hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Next place to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next scope</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Next section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Next snapshot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Next swing unit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Next track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Night</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>No MIDI clock received. Choose Sync: MIDI clock in Play, then start it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>No MIDI control is assigned yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>No MIDI input is connected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>No MIDI output is connected.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>No clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>No groove to blend. Extract one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>No groove to export. Extract one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>No groove to save. Extract one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>No groove yet. Extract one from a track (Shift+G), or choose one in the tray.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>No groove yet. Extract one from a track, or choose one in the tray.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>No hits for a groove. Detect onsets first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>No hits for a pattern. Detect onsets first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>No hits found in {0}. Lower the threshold in Mark.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>No hits or bars here to split at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>No hits to export. Detect onsets, or create a kit.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>No join clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>No kit to play</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>No kit to play. Create one from the hits of a clip with Ctrl+U.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>No kit yet. Create one from the hits of a clip with Ctrl+U.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>No kit yet. Create one with Ctrl+U.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>No kit yet. Press Escape, then Ctrl+U, or slice by ear.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>No output folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>No pass was recorded yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>No recording here. Select a track with a recording.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>No recording is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>No recording yet. Drop a file into the window.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>No result. Try another word.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>No section at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>No section here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>No signal. Check the cable, the input and its level.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>No snapshot yet. Press V to save the settings of this track.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>No steps yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>No swing detected: the pairs are even</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/noises.py"/>
        <source>Noise: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>None</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>None of the selected hits is a roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>None of the selected hits is randomised</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/store.py"/>
        <source>Not moved: the position would be more than a day away</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Not now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Not sliced yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>Notes from {0} up play the keys.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Nothing exported yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Nothing here has its own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nothing to accept here. Press N for the next place to check.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Nothing to bounce. Select clips, or drag over the waves in Rework.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Nothing to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>Nothing to copy. Select a clip.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Nothing to export. Open a recording.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Nothing to fix here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nothing to fix here. Press N for the next place to check.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/needs.py"/>
        <source>Nothing to read again. No reading was cancelled.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Nothing to restore: the clip was not bounced in place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Nothing was removed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Nothing was saved: {0} is missing or was replaced by another file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nudge hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Nudge hits +1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Nudge hits +10 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Nudge hits −1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Nudge hits −10 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Nudge onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset +1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset +1 sample</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset +10 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset −1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset −1 sample</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Nudge onset −10 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/metre.py"/>
        <source>Number of bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/metre.py"/>
        <source>Number of bars:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Number of equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Number of equal parts:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Number of further bars:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Number of pattern cycles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Number of repeats:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Number of the bar that starts at this hit:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Numbers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Octave down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Octave up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>On {0}, strength {1:.0%}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>One bar fewer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>One bar more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Only adjacent clips from the same recording can be joined</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Only hits that follow each other in the recording can be joined</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Only one track can be bounced in place. Use Bounce to new track.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>Only what is {0} is heard, and drawn</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Only your own grooves can be removed from the library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>Onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Onsets ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/dialog_openers.py"/>
        <source>Onsets added by ear are placed {0:.0f} ms before the key press</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Onsets and their strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Onsets at equal steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Onsets of the {0} band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>Onsets of {0} are not detected yet. Choose Detect onsets in Mark.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Onsets snap to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open a copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Open a copy from a backup.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Open a recording to preview grooves on it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Open demo session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Open files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Open pattern {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Open pattern…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/file_menus.py"/>
        <source>Open recent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open session folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Open session folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Open tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Open tempo map {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Open tempo map…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Open {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Opened</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Opening audio input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Opening {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Open…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Opus</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Order and rhythm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Other tracks follow its hits. Unlock it, or use Bounce to new track.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Output folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>Output level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Output: “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/overview_strip.py"/>
        <source>Overview</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Own method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Pack session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Pack session…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Packed session as “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Packed sessions (*{0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Packing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Pads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>Pads of the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>Pads – Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Pair hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Pair window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Pan track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Panels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Paste</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Paste clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Paste needs {0}. Add one with Ctrl+Shift+N.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Paste {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Paste {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pattern of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Pattern recording is off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pattern · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>Pattern: steps of each slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>Peak {0:.1f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Pin</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Pin onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Pitch changes length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pitch mode</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Pitch with length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Pitch: +1 semitone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Pitch: +10 cents</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Pitch: −1 semitone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Pitch: −10 cents</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Play</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Play MIDI file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Play MIDI file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Play across loop end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Play and pause Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Play and stop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Play around hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Play both</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Play both paired hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Play in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Play kit at recorded tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Play kit with keyboard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Play or stop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Play selected hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Play slices forwards</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Playhead {0}: double-click to type a position</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Playing and recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Playing {0} of “{1}” from here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Point at an onset to magnify it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Position</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Possible tempi</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Possible tempi and their source</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Preferences</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Preferences…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Presets (*{0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Press A to switch between as played and edited. Both have the same level, and no edit is lost.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Press Ctrl+H to slice a clip into hits. Drag or roll the hits, or create a kit with Ctrl+U.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Press Space to play or stop. You hear {0}. Enter goes on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Preview</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Preview at song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Previewing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Previewing “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Previous hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Previous section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Previous track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Process files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Process files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/batching.py"/>
        <source>Process {0} files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Pulse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Python {0} · Qt {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Quit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Ramp tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Ramp tempo over loop…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Ramp tempo to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Ramp to tempo point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Ramp values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Random</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Random property</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Random · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Randomise hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Randomise {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Read again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/sharing.py"/>
        <source>Reading the system keyring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Reading {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Reading {0} was cancelled. Choose File &gt; Import &gt; Read again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Reading {0} was cancelled. It is silent until it is read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Reading {0} was cancelled. Press Enter to read it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>Recent sessions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Record pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/playing_in.py"/>
        <source>Record pattern, pass {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Record take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Record {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Recording follows song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Recording latency</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Recording tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Recording tempo in beats per minute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Recording the pattern. Backspace removes the last pass.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Recordings follow song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Recordings or a session. You can also drop files here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Recovered edits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Redo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Redo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Redone: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Redraw</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Redraw chance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Redraw random values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Redraw random values of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Release neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Remove cycle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Remove groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Remove last pass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Remove metre change</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Remove own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Remove roll of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Remove section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Remove settings of span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Remove slicing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Remove snapshot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Remove tempo change</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Remove track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Remove unused recordings…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Remove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Remove {0} that no clip plays? {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Removed the last pass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Removed “{0}” from the library. Its file is still in {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Removed. Save the session to free the disk space.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Rename clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Rename clip…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>Rename one of the tracks.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Rename pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Rename section…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Rename track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Rename…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Reopen the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Reopen the session, or restore the old file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Repeat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Repeat clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Repeat hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Repeat pattern clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Repeat ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Repeat spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>Repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Repeat…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/asked.py"/>
        <source>Replace it?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Replace onsets with onsets at equal steps. Reset onsets restores them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Replace with room tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Resampling {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Reset all hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Reset beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Reset groove step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Reset layout</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset pairs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Reset selected hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reset settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Reset shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Reset shape of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Reset to detected fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Reset value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/side.py"/>
        <source>Rest the pointer here to bring this panel out, or press F6</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Restore</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Restore all bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>Restore and add files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Restore bounced clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Restore noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>Restore only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Restore the old file, or import the new one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Restored {0} of “{1}”. Save the session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Results</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Return to start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Reverse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Reverse clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Reverse order</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Reverse order of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Reverse slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Reverse {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/loudness_lane.py"/>
        <source>Ring: as played. Dot: as edited. Click a hit to select it.
The Loudness slider evens hits out.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Ripple one line earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Ripple one line later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll pitch and pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Roll {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Room tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Rotate groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Rotate groove earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Rotate groove later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Ruler: bars and beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>S-curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>SNAP</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Sample rate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Sample rate of the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Sample rates from {0} to {1} can be opened. Convert the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Save</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Save as template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Save as template…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Save as…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Save copy as folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Save copy…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Save fit file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Save groove to library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Save loop as recording…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Save loop…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Save pattern with kit…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Save preset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Save preset…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Save session as folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Save snapshot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Save snapshot…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Save the pattern again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>Save your changes?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Saved a copy in “{0}”. You are still working in “{1}”.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Saved in “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Saved snapshot “{0}”. Shift+V switches between snapshots.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Saved template “{0}”. Open it with File &gt; New from template.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Saved undo steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>Saved {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Saved “{0}” and its kit in “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Saved “{0}” in the library as {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Saved. Command line: chronotome batch “{0}” FILES</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Save…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Saving the session will delete {0} from its folder. Files elsewhere stay. The undo history is cleared, because it needs these recordings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Saving {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>Saving. Please wait.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Scale down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Scale up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/shelf.py"/>
        <source>Scanning {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Scope of the settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Scrub back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Scrub forward</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Search text</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Searching for audio devices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Searching for recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Section name:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Sections</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Select</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Select a bar in the Pulse lane first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Select a clip for the kit first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Select a clip to convert first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Select a clip to slice first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Select a clip to {0}: click its name in Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Select a hit first: hits of the same band are added</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Select a hit first: the two beats around it are played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Select a hit. Q moves it to the earlier line, E to the later.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Select a paired hit first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Select a step of the slice first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Select a step, then click {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Select all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Select all hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Select an onset to {0}: click it, or press ← or →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Select early hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Select every nth hit, from the selected one on. n:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Select every nth hit…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Select hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Select hits at most this many dB below the loudest:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Select hits first: click one, Shift+click more, or drag over several</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Select hits of band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>Select hits to {0} them, or click the clip title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Select hits to {0}: click one in the wave, or drag along its bottom edge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Select late hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Select louder hits…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Select similar hits…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Select steps first: click one in the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Select steps of slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>Select steps to {0} them, or click the clip title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Select {0} hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Server</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Server address</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Session at {0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Session information</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Session information…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Session sample rate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sessions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Set an amount first: Random in the tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Set as guide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Set as {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set attraction</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Set bar number…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Set bar {0} here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set beat one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Set clip loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Set cycles of steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Set flam window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Set groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Set groove length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Set groove loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Set groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_drag.py"/>
        <source>Set hit length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Set kit pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Set length to {0:g} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Set material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set metre from a bar on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set metronome level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Set pair window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Set pattern cycles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Set pattern length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Set random bias</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Set recording tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Set roll ramps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set shift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Set spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Set step loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set tempo evenness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set tempo from a bar on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Set tempo here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Set tempo here…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set tempo map detail</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Set tempo…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Set threshold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Set tolerance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Set track as guide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Set trigger mode</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Set two steps as A and B to compare them at the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Set {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Shape of each hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Shape of each step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Shape: +10 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Shape: −10 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Share</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Shared. The address was copied.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Share…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Shelf content</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Shelf folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Shift grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Show</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Show folder: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/fold.py"/>
        <source>Show or hide: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Show settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Show {0} lane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Shown as −1234.5 in every language. You can type a comma or a point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Shuffle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Shuffle hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Shuffle {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Silence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/noises.py"/>
        <source>Silence noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Similar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>Similar hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>Similarity</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Simulated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Slice at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Slice at bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Slice at hand-set onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Slice at onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Slice by ear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Slice by ear to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Slice clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Slice clip {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Slice each file into a folder of short files. Joined, they are the original.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Slice in equal parts…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Slice names</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Slice on {0} lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Slice position</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Slice the clip first (Ctrl+H)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Slice the clip to shape its hits: Ctrl+H</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Slice the clip, or the selected range, as set above</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Slice {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Slices of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Slicing by ear is off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Slicing by ear needs playback. Press Space.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Slicing by ear: a free key starts a slice at the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>Slip audio</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Slipping changes the edited sound, so playback switched to Edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Smaller buffers respond faster; larger buffers are safer on a busy computer. For playing keys, choose JACK.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Smooth groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Snap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Snap grid: follows the zoom, or fixed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Snap loop to attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Snap onset to attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Snap target for dragged hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Snap to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Snap to attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Snap to zero crossing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Snapshot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Snapshot name:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Snapshot {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Snapshot “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Solo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Solo track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Solo, {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Song metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Song takes recording tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Song tempo set from the clock: {0:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Song tempo: type or tap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Song: {0} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Sound from “{0}” arrives {1}. New takes are moved by this amount.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Source of the rhythm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Spans</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Spans with their own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Spans would tighten the audio twice. Use Bounce to new track.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Split</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Split at playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Split at range ends</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Split clip at bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Split clip at hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Split here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Split hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Split {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Spot check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tour.py"/>
        <source>Spot check ended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tour.py"/>
        <source>Spot check: {0} of {1}. Space ends it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Spot-check fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/side.py"/>
        <source>Stages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>Stages  1 – 5</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Start offset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Start, stop and position are shared with all JACK programs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Stems…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Step to tempo point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Step value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Step {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Steps of the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/likenesses.py"/>
        <source>Still reading the recording. Try again in a moment.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Stop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Store key in the system keyring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Straight grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Straighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Straighten tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Straighten to song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Straightened {0}: tempo drift was {1} ms. Set the amount in the tray.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>Strength of each onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Stretch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>Stretch end to bar line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Stretch limit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Stretch limit: +0.05</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Stretch limit: −0.05</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Stretching</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Swap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Swap two hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Swing as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Swing as played: {0:.0f} % of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Swing unit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Swing unit: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Switch between as played and edited at equal level ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Switch groove offsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Switch played / edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>Symbols and mouse actions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sync</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Sync is off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Sync: JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Sync: MIDI clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Sync: none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>System</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>TEMPO</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>TIME</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Table</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Tail length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Take high band from:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/about.py"/>
        <source>Takes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Takes can be off by as much. For exact takes, choose JACK in Preferences.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Takes folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Takes from “{0}” are now moved {1:.1f} ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Takes stay here until you save the session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Tap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tap beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tap song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Tap tempo over loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/taps.py"/>
        <source>Tap {0} more times for a tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Target</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Target level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Target of the hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Task</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Tempo from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Tempo in beats per minute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Tempo maps (*.mid *.midi *.json)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Tempo of each beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>Tempo of the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>Tempo of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Tempo points of the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Tempo sync</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tempo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>That was the end. Press {0} to loop it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The access key has invalid characters. Copy the key again, without spaces.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>The audio device restarted, so {0} ends here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>The beats are unknown. Enter the bars or the tempo, or tap the beats.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>The beats are unknown. Tap the beats during playback.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>The beats are unknown. Tap them during playback (T), or enter the number of bars.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The clip already plays a pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>The clip has its own Tighten settings, not those of its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>The clip has its own method, material and pitch, not those of its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>The clip is muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>The clip plays no pattern. Convert it with Ctrl+P.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The clip plays no pattern. Select a clip with a pattern.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>The file is ready. Drag the clip again, or paste the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The file is shared, but the server sent no address that can be opened. Look on the server’s page.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>The joins are not checked yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>The lane shows the tempo of each beat of {0}. Drag a beat to its place, or press T to tap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>The mix clips: {0} dB over full scale. Lower it, or choose float.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>The recording is shorter than one bar. Halve the number of bars.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The recovery file “{0}” is damaged.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The recovery file “{0}” {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>The saved key is for another server. Enter the key for this server.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The server accepts no more uploads. Try again later.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The server refused the upload ({0}): {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The server rejected the key. Check the key in this dialog.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The server sent an invalid answer. Check the address.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>The session has unsaved changes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>The small triangles above the wave are onsets. Drag the threshold: faint onsets turn hollow and do not count.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>The sounds are hidden in noise. Raise the level and measure again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>The tempo “{0}” is invalid. Enter {1:.0f} to {2:.0f} bpm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The track plays no pattern. Convert a clip with Ctrl+P.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>The undo history could not be read. The session is complete.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Their clips are silent until you find them. Choose the folder that contains them?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Theme</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>There is no track “{0}”.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>These slices are already in a kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>This address is not encrypted. Enter an address that begins with https://.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/ui_context.py"/>
        <source>This clip plays a pattern. Shape its steps, or the slices of its kit.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>This folder is not from Chronotome. Do not open it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>This is not a server address. Enter an address that begins with https://.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>This track has no take to match. Choose one in the tray.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>This track is not a layer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Three measurements agree to ±{0:.2f} ms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Threshold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tick</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>Tighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Tighten again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Tighten less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>To add one, choose Play &gt; Devices and sync &gt; Learn MIDI control.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>To check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>To check: {0}{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>To copy a rhythm, slice the clip first (Ctrl+H)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>To group clips, select two or more: Shift+click adds one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/noises.py"/>
        <source>To mute a noise, select hits or drag over the ruler</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>To set a loop, select hits or drag over the ruler</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>To swap hits, select two: Shift+click adds one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>To {0} hits, slice the clip first (Ctrl+H)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/rework_actions.py"/>
        <source>Toggle roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Toggle tempo ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Tolerance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>Tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Tone of all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Too few taps were close to a click. Close this dialog and try again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Track height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Track level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Track level: +1 dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Track level: −1 dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Track name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Track {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Track · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/side.py"/>
        <source>Tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Trigger</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Trim end of clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Trim start of clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Trim to selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Try again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>Turn a knob or press a pad first, then click “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>Turn a knob or press a pad, then click a slider or choose a command</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>Turn loop off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Type an action, a setting and its new value, a track, a section or a shortcut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Undo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Undo preview</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Undo steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Undo steps to save</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>Undo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Undone: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Unfold tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Ungroup clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Unlock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Unlock track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Unmute track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Unpack session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Unpack session…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Unpacking {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/short.py"/>
        <source>Unpair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Unpair hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Unpaired</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Unpaired hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Unpin onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Unsolo track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Unused</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Update Chronotome. The session is unchanged.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Uploaded to {0}
The address was copied.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Use</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Use MIDI clock tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>Use for song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Use grid as target</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Use groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Use method of track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Use own method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Use own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>Use ruler grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Use settings of track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Use song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Use {0}, {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Use {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Usual</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Vary</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>Vary pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>View</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Visibility</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>WAV (*.wav)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>WAV with cue markers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>WAV, AIFF, FLAC, OGG Vorbis, Opus and MP3 can be opened.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>WAV, AIFF, FLAC, OGG, Opus or MP3. Files stay unchanged; nothing moves until you move it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/menus.py"/>
        <source>Warp markers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Wave of the selected track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Width: loudness. Whisker: uncertainty. A step you drag changes in every bar.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>Without menu entry</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Wood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>Work from top to bottom. Keys 1 to 5 open a stage.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Works where session and JACK have the same sample rate. All else plays on the main outputs.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Wrap tail to loop start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Write file and save</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Write tempo and sections as cues, chapters and tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>Writing dragged file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Writing recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Writing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>You hear sixteen clicks, one every 0.6 seconds.
Press any key, or click here, together with each click.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>You hear the clip as played. Press A to hear the shaped hits.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>You tap {0:.0f} ms {1} the click.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Your tapping latency</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Zoom in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Zoom out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/action_table.py"/>
        <source>Zoom to fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>a file with this name exists</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>a name of at most {0} characters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>a pattern keeps
the song tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>a/b, bypass, compare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>above {0} Hz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>accurate to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>after</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>algorithm, time stretch, pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>align to other track, double tracking</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>all connected inputs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>all kinds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>all onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>an empty track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>anchor, hold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>and {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>anywhere</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>are recalculated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>arm, overdub, record audio</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>as is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>as played back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>as played: {0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at hand-set onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>at most {0:g} dB below the loudest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>at this step in every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>at {0}; in nearly every bar at {1},
{2:.0f} ms {3} of that</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>attraction</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>audible join</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>audio is starting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>audio stays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>audio {0} ms · onset stays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>auto: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>average</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bars, detected: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>batch, convert folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>beat one not set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>bell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>below {0} Hz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>between two lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>bounced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>bowed or sung</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, drifting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, from tapped or set beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, set by you</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>bpm, set tempo, tap tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, steady</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>buffer, latency, audio device, driver</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>built in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/tempo_in.py"/>
        <source>cannot be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>cannot be read: permission denied</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>cannot be read: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>chance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>channel {0}, {1} {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>check for a hit before the first onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>chop, slice, cut up, slice to transients</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>chords and mixes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>claims {0} samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>click</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>comma-separated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>compare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>conform, follow tempo, sync</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>contains invalid levels (up to {0:.0e} times full scale)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>contains invalid samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>contains invalid samples (the first at {0:.3f} s)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>contains no groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>contains no notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>contains no onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>contains no pattern: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>contains no readable notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>contains too many notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>contains “{0}”, which does not belong in a session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>contains “{0}”, which its session does not use</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>counted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>counted as one; a shorter spacing makes two</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>crash, lost work, log</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>crop, trim</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>crossfade, fade curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>crossing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>cutoff</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>cutting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>cycle, loop range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>dark mode, night</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>delete</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>delete it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>detected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>detected: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>detecting…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>detects hits, moves nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>does not match the length or type in the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>dotted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>double time, double tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>double-time feel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>downbeat, bar one, first beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>drift ±{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>drift ±{0} ms
{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>drift, straighten, fix tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>drifts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>dropout</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>dropouts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>dropouts at {0} samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>drum pads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>drums</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>duplicate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>each beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>early</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>edit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>edits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>eighths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/typed.py"/>
        <source>enter a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/typed.py"/>
        <source>enter a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>even</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>evenly</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>every beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>every cycle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>every {0} hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>expand rolls of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>extract groove, groove template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>failed: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>first {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>flam with another track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>flam with {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>follows zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>for {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/metre.py"/>
        <source>from here on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>from ruler</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>from the file name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>from the file tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>from the pattern file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>from {} to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>full</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/hatching.py"/>
        <source>gap {0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>gate, breath, bleed, noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>glue, merge, consolidate clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>grid from performance, tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>grid shift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>grid steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>grooves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>group {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>guide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>guide: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>half time, half tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>half-time feel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>has a file extension that cannot be imported as onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>has a file extension that cannot be written for onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has a sample rate of {0} Hz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>has an invalid grid (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>has an unknown file format (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has changed since you first opened it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>has changed since you opened it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/safe_read.py"/>
        <source>has more header data than any valid file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>has more than {0:,} onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has no audio</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/loop_file.py"/>
        <source>has no audio in this span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>has no hits for a groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>has too few hits to find beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has {0} channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>hidden</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>hits of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>hits, clips, tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>holds {0} notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>hotkeys, key bindings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>humanize, humanise, loosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>import cues</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>import tempo, import midi tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>in 8 equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>in Mark: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source>in another window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source>in another window (process {0}{1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>in order</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>in sync with JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>in the dragged range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>in {0} parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>inaudible</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>input latency, round trip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>input · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>invert selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>inverted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>inverted selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is a folder, not an audio file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>is an original recording; recordings are never overwritten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>is at {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>is damaged or contains no onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>is damaged: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>is empty or larger than 4 GB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is incomplete: it has {0} of {1} samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is incomplete: {0} of {1} bytes of audio are missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/safe_read.py"/>
        <source>is larger than {0} MB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>is neither a session nor an audio file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>is not a Chronotome session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>is not a Chronotome session, or is damaged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/safe_read.py"/>
        <source>is not a file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>is not a packed session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/shelf.py"/>
        <source>is not a readable folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/tempo_in.py"/>
        <source>is not a tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is not an audio file that Chronotome can read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>is not in the groove library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>is silent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>is too large for a session (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/desktop.py"/>
        <source>its name has a line break or another character that no menu entry can have</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>its own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>join</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough_joins.py"/>
        <source>join after {0} clicks: {1:.0f} dB above
the roughest place in the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>keep as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>keep it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>keep length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>keep random values of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>kept inside</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>kept inside the take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>key {0}, </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>kits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>labels, cue points, markers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>late</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>late first onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>layer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>like {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>limited to {0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>linear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>lock hit, pin</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>locked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>locked to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>locked to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>locked track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>locked tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>loop it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>loud</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>loudness {0} LUFS</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>lower on a pad: louder    , and . for more pads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>manual</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>match project tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>metronome, click track, count-in, pre-roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>midi controller, keyboard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>missing hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>missing in {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>mixdown, export wav, normalise, normalize, loudness, LUFS, sample rate, bit depth, dither</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>mixed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>monitoring, direct monitoring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/kit_actions.py"/>
        <source>more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/takes.py"/>
        <source>more takes in one second than can be named</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>move</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>move along</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>moved by {0:.0f} ms; nearly all other
hits move by less than {1:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>moved far</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>moved with neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>multitrack, stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>mute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>near the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>nearer to another hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>nearest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>nearly every bar has a hit at {0};
here a faint one, strength {1:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>needs a clip that plays a pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>needs a newer Chronotome (format {0}; this version reads up to {1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>needs {0:.1f} GB of memory; {1:.1f} GB are free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>needs {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>needs {0} MB; the disk has less free space</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>no MIDI clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>no beats yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>no clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>no folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>no group</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>no reason given</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>no recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>no snapshot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>no snapshot selected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>no tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>no value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>noises</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>none in Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>not analysed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>not in locked track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>not saved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>note</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>nothing yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>nudge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>nudge it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>of each file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>of the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>off the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on 1/16 lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>on 1/2 lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>on 1/32 lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on 1/4 lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on 1/8 lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>on grid lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>on or off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>on the line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>one-shot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>one-shots, sample pack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>onset {0} ms · {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>other tempi</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>over {0:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>own hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>own hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>own method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>own settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>pairs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>pattern of {0}
{1} · {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>patterns</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>peak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>peak {0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>phase, polarity, invert</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>pin</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>pin it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>pinned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/view_state.py"/>
        <source>pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>play</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>play it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>plucked or struck</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>polyphonic, monophonic, drums</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>private</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>probability</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>public</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>quantize grid, resolution, subdivision</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>quantize, quantise, align, tighten, timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>quintuplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>ramps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>randomise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>randomize, randomise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>ratchet, retrigger</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>recent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>refers to a file outside its folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>render, freeze, print</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>rendered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>rendering</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>reorder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>repeat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>repeat tail</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/patterns.py"/>
        <source>repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>repetition</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>reset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>ripple</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>room noise, ambience</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>room tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>roughness, dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>same as each file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>same as session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>same ms at any tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>same share of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>sample</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>sample {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>sampler, create instrument</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>second hit at {0};
other bars have one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>selected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>septuplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>sequencer, step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/sharing.py"/>
        <source>server</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>set it in Fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>setting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>shuffle, swing eighths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>single hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>single notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>sixteenths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>skipped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>skipped: cancelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>sliced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>slow attack: listen, then move the onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>smoothed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>snap it to its attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>solid: always    dashed: by chance    divided: repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>song part, marker, verse, chorus</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>sound up to the next hit: ×{0:.2f} as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>source</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>spans</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>split there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>st</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>stay in place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>steady</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>steep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>stem</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>step {0}: {1} ms, {2} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>straight</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>straighten {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>strength {0:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>stretch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>stretched</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>stretched beyond {0:.3g}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>stretching</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>strong hit at {0};
none in {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per 1 s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per 2 s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per ¼ s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per ½ s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>swap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>swap, reorder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>tail</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tail back and forth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>tap offset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>tap or set bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>tap tempo of section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>target moves along</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>target past the end of the take:
the hit stays inside, {0:.0f} ms before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>target {0}, {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>tempo change, tempo point, ritardando, accelerando, slow down, speed up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/fit_checks.py"/>
        <source>tempo jump at bar {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>tempo, bars and beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>the disk is full</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>the file already exists</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>the folder contains other files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>the folder is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>the folder is write-protected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the kit {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>the name is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>the name is longer than {0} characters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>the operation failed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>the path is a link or not a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the selected {0} of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>the server answered {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>the session is open {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>the settings of its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>the take loops:
its first hit already has this line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>the writing process ended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the {0} of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>there is no action “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>this clip only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>tick</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>tighten {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/slices.py"/>
        <source>tilt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>time signature, meter, 3/4, 7/8, beats per bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>times</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>to earlier line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>to later line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>tolerance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tones</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>transient, detect transients, beat detection, analyse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>transport</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>trim to it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>triplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>triplet, dotted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>tutorial, getting started</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>two hits on one line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>two onsets close together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>unclear attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>under 1 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>undo list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>undo slicing, flatten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>unknown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>unless you set a fixed grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/noises.py"/>
        <source>unlike all other hits,
off the grid near {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>unusual line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>up and back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>uses samples that {0} does not have</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>volume, gain, fader up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>warp marker, anchor point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>was ±{0}
{1} over {2:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>while held</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>with its flam</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>with its own method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>with the method of its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>with the settings below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>with {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>within tolerance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>wood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>would contain no notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>would create two files with the same name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>would unpack to {0} MB, which is too much for its size</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>yours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/synonyms.py"/>
        <source>zoom all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_frames.py"/>
        <source>{0:+.1f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>{0:.0%} of the distance, in {1} passes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0:.0f} % down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0:.0f} % up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>{0:.0f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0:.0f} ms {1} of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>{0:.0f} ms {1} than {2} at {3},
usually {4:+.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/fit_checks.py"/>
        <source>{0:.2f} bpm; bars nearby: {1:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>{0:.2f} ms {1} than the device reports</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>{0:g} to {1:g}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>{0}
A pattern of {1}, {2} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0}   Enter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0}   Esc</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/walk.py"/>
        <source>{0}   {1} of {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>{0} (2)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} (N: next)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>{0} Hz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>{0} MB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>{0} The damaged file was moved to “{1}” in “{2}”.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>{0} Try again: the upload continues where it stopped.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>{0} are missing, so there is nothing to bounce</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="render/mix.py"/>
        <source>{0} are too many to play. Undo the last step.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} as “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>{0} at {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>{0} band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>{0} bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>{0} belongs to a session that is open elsewhere. Save this copy first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>{0} bounced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>{0} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>{0} bpm from bar {1}, {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/taps.py"/>
        <source>{0} bpm ± {1} from {2} taps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/tempo_lane.py"/>
        <source>{0} bpm, bar {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0} bpm, {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>{0} clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/drag_out.py"/>
        <source>{0} copied. Paste in a file manager.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} copied. Press Ctrl+V to paste at the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>{0} copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>{0} could not be read again. Chronotome uses the audio that it read before.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/loudness_lane.py"/>
        <source>{0} dB, as played {1} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>{0} done, {1} failed, {2} in all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} ended: {1}. Nothing was kept. Record the take again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} ended: {2}. Its first {1:.1f} s were kept.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/tasks.py"/>
        <source>{0} failed ({1}). Nothing was changed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>{0} faint hidden</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>{0} follow its hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>{0} from bar {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>{0} from “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} grouped: they are selected and moved together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>{0} has strength 0 %, so nothing moves. Raise the strength in Tighten.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0} has {1:g} kHz, the session {2:g} kHz.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} has {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>{0} hits at {1:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} hits selected: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>{0} in the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>{0} is assigned to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>{0} is in the large lane, in its place among the tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} is kept, as another session is open. You are asked at the next start.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>{0} is missing. Choose File &gt; Import &gt; Find missing recordings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>{0} is not locked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0} is not tightened yet. Tighten it to {1}?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>{0} is now moved {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>{0} is the reference</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>{0} is used by two actions. Change one of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>{0} joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>{0} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>{0} left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} line{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>{0} min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} ms on off-{1}ths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>{0} ms {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>{0} now uses {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>{0} of audio are on disk. Restore the take at its place?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0} of hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} of steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>{0} of the hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} of the slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>{0} of the track with its own Tighten settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>{0} of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>{0} of {1} done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0} of {1} selected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>{0} of {{}}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>{0} on keys Q to {1}. Press Ctrl+P to create a pattern.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>{0} onsets.txt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>{0} opens a menu. Choose another shortcut.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} over full scale. Lower a level, or export float.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>{0} plays from here; its slice ends at the next cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>{0} quarter notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/state/figures.py"/>
        <source>{0} right</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>{0} s · {1} at {2} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} selected hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>{0} selected. Press Delete to delete them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>{0} selected: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>{0} similar hits: they are marked in the wave.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>{0} st</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0} sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} tempo.mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} than {1:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0} to check (N: next)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>{0} unpaired · {1} unsure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/histogram.py"/>
        <source>{0} values from {1} to {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/badges.py"/>
        <source>{0} with their own Tighten settings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="words.py"/>
        <source>{0} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0} {1}
or {2} {3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0} {1}, the song is at {2}: off the grid.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0} · clip {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>{0} · guide: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} · peak {1} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_drag.py"/>
        <source>{0} · replaces {1}. Alt: both sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>{0} · the slice ends after {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>{0} · zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} · {1} hidden · {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0}, about {1} bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>{0}, as set in Export</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}, evenly spaced: off the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}, every {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0}, from the session’s {1:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>{0}, moved by {1:.1f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0}, none selected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0}, sounding as before. Press A to hear the clip as played.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>{0}, sounding like the clip. The track of the clip is muted.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0}, stored in the takes folder until you save the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>{0}, strength {1:.0f}, {2}{3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/accessible_lists.py"/>
        <source>{0}, {1} dB{2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>{0}, ±{1} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/value_slider.py"/>
        <source>{0}. Drag or use the arrow keys. Double-click the figure or press Enter to type. Double-click the track: {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>{0}: after “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}: as many as fit into the hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0}: click to type, arrow keys to step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/folded_bar.py"/>
        <source>{0}: no hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/tasks.py"/>
        <source>{0}: not enough memory. Close other programs first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>{0}: now click a slider or choose a command</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0}: set as recording tempo; the first tap is beat one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0}: set as song tempo. Tap during playback to set beats.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>{0}: set over the loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>{0}: set to {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0}: tightened at {1}, but the song is at {2}. Follow the song?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0}: {1} bpm{2}{3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>{0}: {1} of {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>{0}: {1} of {{}}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/folded_bar.py"/>
        <source>{0}: {1}, {2} ms {3}, half of them within ±{4:.1f} ms. Click to select them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0};;JSON (*.json)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/main_window.py"/>
        <source>{0}{1} – Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>{0}{1}. Click a step to go there.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/decision.py"/>
        <source>{0}{1}. The song is at {2}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>{{{0}}} is unknown; use {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>± {0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>±30 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>±{0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>±{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>±{0} samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}” contains no pattern. Choose a pattern folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>“{0}” drops out at {1} samples. Choose a larger buffer, or JACK as audio output.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/asked.py"/>
        <source>“{0}” exists already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>“{0}” has a gap of {1:.1f} s, because the disk was too slow.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>“{0}” is already open {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/learning.py"/>
        <source>“{0}” is hidden. Open its stage, then turn the control.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>“{0}” is open {1}. This is a copy: save it under another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>“{0}” is too large for the memory of this computer.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>“{0}” of “{1}” may be: {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/actions.py"/>
        <source>“{0}” takes {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>“{0}” was not closed properly</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/window/recovery.py"/>
        <source>“{0}” was recorded but not saved in a session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/song.py"/>
        <source>“{0}”: tempo points: {1}, metres: {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}”: {1} on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>“{0}”: {1} steps{2}. Select a track to preview the groove.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>−1 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>−5 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions/tighten_actions.py"/>
        <source>−5 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>■ low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>▲ high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>● mid</source>
        <translation type="unfinished"></translation>
    </message>
</context>
</TS>
