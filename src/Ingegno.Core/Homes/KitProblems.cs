using System.Collections.Immutable;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Homes;

/// <summary>Checks what a person entered about one thing that loads.</summary>
internal static class KitProblems
{
    private const int MostKindsOfPlates = 30;

    internal static void Add(KitItem item, string path, List<InputProblem> problems)
    {
        HomeProblems.Named(item.Name, path, problems);
        switch (item)
        {
            case FixedWeights weights:
                for (int i = 0; i < weights.Weights.Length; i++)
                {
                    HomeProblems.Weighed(weights.Weights[i].Mass, $"{path}.weights[{i}].mass", item.Name, problems);
                    HomeProblems.Counted(weights.Weights[i].Count, $"{path}.weights[{i}].count", problems);
                }

                break;
            case PlateLoadedHandles handles:
                HandleProblems(handles, path, problems);
                break;
            case PlateLoadedBar bar:
                BarProblems(bar, path, problems);
                break;
            case Container container:
                ContainerProblems(container, path, problems);
                break;
            case Vessels vessels:
                VesselProblems(vessels, path, problems);
                break;
            case Band band:
                problems.AddRange(BandCurve.Fit(band).Problems.Select(p => p with { Path = path + "." + p.Path }));
                HomeProblems.Counted(band.Count, path + ".count", problems);
                break;
            case Straps straps:
                StrapProblems(straps, path, problems);
                break;
            case Sliders sliders:
                HomeProblems.Counted(sliders.Count, path + ".count", problems);
                break;
            case Scale scale:
                if (!(scale.Step.Kilograms is > 0 and <= 5))
                {
                    problems.Add(new(path + ".step", $"{scale.Name}: the step a scale shows lies between 1 g and 5 kg."));
                }

                break;
        }
    }

    private static void HandleProblems(PlateLoadedHandles handles, string path, List<InputProblem> problems)
    {
        if (handles.Handles is not (1 or 2))
        {
            problems.Add(new(path + ".handles", $"{handles.Name}: one or two handles, not {handles.Handles}."));
        }

        HomeProblems.NotNegative(handles.HandleMass, path + ".handleMass", handles.Name, problems);
        if (handles.PlatesPerEnd is < 0)
        {
            problems.Add(new(path + ".platesPerEnd", $"{handles.Name}: plates per end cannot be negative; leave it empty for no limit."));
        }

        HomeProblems.NotNegative(handles.CollarMass, path + ".collarMass", handles.Name, problems);
        PlateProblems(handles.Plates, path, handles.Name, problems);
    }

    private static void BarProblems(PlateLoadedBar bar, string path, List<InputProblem> problems)
    {
        HomeProblems.Weighed(bar.BarMass, path + ".barMass", bar.Name, problems);
        HomeProblems.NotNegative(bar.CollarMass, path + ".collarMass", bar.Name, problems);
        if (bar.PlatesPerEnd is < 0)
        {
            problems.Add(new(path + ".platesPerEnd", $"{bar.Name}: plates per end cannot be negative; leave it empty for no limit."));
        }

        PlateProblems(bar.Plates, path, bar.Name, problems);
    }

    private static void PlateProblems(ImmutableArray<Plates> plates, string path, string name, List<InputProblem> problems)
    {
        for (int i = 0; i < plates.Length; i++)
        {
            HomeProblems.Weighed(plates[i].Mass, $"{path}.plates[{i}].mass", name, problems);
            HomeProblems.Counted(plates[i].Count, $"{path}.plates[{i}].count", problems);
        }

        if (plates.Length > MostKindsOfPlates)
        {
            problems.Add(new(path + ".plates", $"{name}: at most {MostKindsOfPlates} kinds of plates."));
        }
    }

    private static void VesselProblems(Vessels vessels, string path, List<InputProblem> problems)
    {
        HomeProblems.Counted(vessels.Count, path + ".count", problems);
        HomeProblems.NotNegative(vessels.OwnMass, path + ".ownMass", vessels.Name, problems);
        if (!(vessels.Volume.Litres is > 0 and <= 200))
        {
            problems.Add(new(path + ".volume", $"{vessels.Name}: give the litres one holds, above 0 and up to 200."));
        }
    }

    private static void StrapProblems(Straps straps, string path, List<InputProblem> problems)
    {
        if (!(straps.LongestDrop.Metres is > 0 and <= 4))
        {
            problems.Add(new(path + ".longestDrop", $"{straps.Name}: say how far down the handles can hang, 1 cm to 4 m."));
        }

        if (straps.Bears is { } bears && !(bears.Kilograms is > 0 and <= 1000))
        {
            problems.Add(new(path + ".bears", $"{straps.Name}: what they carry lies above 0 kg, or is left empty when unknown."));
        }
    }

    private static void ContainerProblems(Container container, string path, List<InputProblem> problems)
    {
        HomeProblems.NotNegative(container.OwnMass, path + ".ownMass", container.Name, problems);
        if (container.MostInAll is { } most && !(most.Kilograms is > 0 and <= 500))
        {
            problems.Add(new(path + ".mostInAll", $"{container.Name}: the most it may weigh must lie between 0 and 500 kg, or be left empty."));
        }
        else if (container.MostInAll < container.OwnMass)
        {
            problems.Add(new(path + ".mostInAll", $"{container.Name} weighs {container.OwnMass} empty, more than the {container.MostInAll} it may weigh in all."));
        }

        if (container.Volume is { } volume && !(volume.Litres is > 0 and <= 1000))
        {
            problems.Add(new(path + ".volume", $"{container.Name}: litres must be above 0, or left empty when room is no limit."));
        }

        if (container.Contents.Length > 60)
        {
            problems.Add(new(path + ".contents", $"{container.Name}: at most 60 kinds of things."));
        }

        for (int i = 0; i < container.Contents.Length; i++)
        {
            var content = container.Contents[i];
            string at = $"{path}.contents[{i}]";
            HomeProblems.Named(content.Name, at, problems);
            HomeProblems.NotNegative(content.Mass, at + ".mass", content.Name, problems);
            HomeProblems.Counted(content.Count, at + ".count", problems);
            if (content.Volume is { } room && !(room.Litres is >= 0 and <= 1000))
            {
                problems.Add(new(at + ".volume", $"{content.Name}: litres cannot be negative."));
            }
        }
    }
}
