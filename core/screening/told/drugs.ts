/**
 * Medicines by their common names, and what they say about who takes them. What is not found here, nor among the spoken
 * names below, and is taken as a medicine is always asked about. From memory, to be checked against a formulary.
 */
export const drugs: Record<string, string> = {
  anticoagulant:
    "warfarin phenprocoumon acenocoumarol heparin enoxaparin dalteparin tinzaparin nadroparin fondaparinux apixaban rivaroxaban dabigatran edoxaban clopidogrel prasugrel ticagrelor dipyridamole ticlopidine cilostazol",
  steroids:
    "prednisone prednisolone methylprednisolone dexamethasone hydrocortisone betamethasone deflazacort triamcinolone budesonide fludrocortisone cortisol",
  osteoporosis:
    "alendronate bisphosphonate bisphosphonates alendronic risedronate ibandronate zoledronate zoledronic pamidronate denosumab raloxifene teriparatide romosozumab strontium calcitonin",
  "blood-pressure":
    "ramipril lisinopril enalapril perindopril captopril amlodipine nifedipine felodipine lercanidipine diltiazem verapamil losartan candesartan valsartan irbesartan telmisartan olmesartan bisoprolol atenolol metoprolol nebivolol propranolol carvedilol hydrochlorothiazide indapamide doxazosin moxonidine clonidine hydralazine aliskiren",
  "heart-failure":
    "furosemide torasemide bumetanide spironolactone eplerenone sacubitril digoxin digitoxin ivabradine nitroglycerin nitroglycerine isosorbide glyceryl ranolazine",
  "heart-rhythm": "amiodarone flecainide propafenone sotalol dronedarone",
  neuropathy:
    "metformin gliclazide glimepiride glibenclamide glipizide sitagliptin linagliptin saxagliptin vildagliptin empagliflozin dapagliflozin canagliflozin liraglutide semaglutide dulaglutide exenatide pioglitazone acarbose tirzepatide",
  epilepsy:
    "levetiracetam lamotrigine valproate valproic carbamazepine oxcarbazepine phenytoin phenobarbital topiramate lacosamide zonisamide clobazam brivaracetam primidone ethosuximide",
  arthritis:
    "methotrexate sulfasalazine sulphasalazine leflunomide hydroxychloroquine adalimumab etanercept infliximab golimumab certolizumab tocilizumab abatacept rituximab secukinumab ustekinumab tofacitinib baricitinib upadacitinib azathioprine",
  cancer:
    "tamoxifen letrozole anastrozole exemestane imatinib capecitabine cisplatin carboplatin paclitaxel docetaxel doxorubicin cyclophosphamide fluorouracil trastuzumab pembrolizumab nivolumab bicalutamide enzalutamide abiraterone goserelin leuprorelin leuprolide fulvestrant ibrutinib lenalidomide bortezomib palbociclib",
  eye: "latanoprost timolol bimatoprost travoprost dorzolamide brimonidine pilocarpine",
  "multiple-sclerosis":
    "ocrelizumab fingolimod natalizumab teriflunomide glatiramer ofatumumab cladribine siponimod interferon",
  reflux: "omeprazole pantoprazole lansoprazole esomeprazole rabeprazole famotidine ranitidine sucralfate",
  breathless:
    "salbutamol albuterol formoterol salmeterol tiotropium ipratropium montelukast beclometasone fluticasone theophylline",
  "pain-medication":
    "ibuprofen diclofenac naproxen paracetamol acetaminophen codeine codamol dihydrocodeine tramadol tapentadol oxycodone hydrocodone morphine fentanyl buprenorphine hydromorphone methadone gabapentin pregabalin duloxetine celecoxib etoricoxib meloxicam ketoprofen indometacin indomethacin metamizole dihydrocodeine lidocaine baclofen tizanidine methocarbamol cyclobenzaprine diazepam amitriptyline",
  gout: "allopurinol febuxostat colchicine",
  migraine: "sumatriptan rizatriptan zolmitriptan eletriptan naratriptan erenumab galcanezumab",
  "nerve-disease":
    "levodopa carbidopa pramipexole ropinirole rasagiline selegiline riluzole pyridostigmine donepezil memantine rivastigmine",
  quiet:
    "levothyroxine thyroxine carbimazole atorvastatin simvastatin rosuvastatin pravastatin ezetimibe sertraline citalopram escitalopram fluoxetine paroxetine venlafaxine mirtazapine bupropion trazodone estradiol oestradiol progesterone progestogen cetirizine loratadine fexofenadine finasteride tamsulosin oxybutynin solifenacin melatonin zopiclone amoxicillin doxycycline nitrofurantoin",
};

/** Endings that name a family: what is not in the list, but ends so, is taken for one of it. */
export const families: readonly [ending: string, condition: string][] = [
  ["xaban", "anticoagulant"],
  ["gatran", "anticoagulant"],
  ["parin", "anticoagulant"],
  ["grel", "anticoagulant"],
  ["dronate", "osteoporosis"],
  ["dronic", "osteoporosis"],
  ["pril", "blood-pressure"],
  ["sartan", "blood-pressure"],
  ["dipine", "blood-pressure"],
  ["olol", "blood-pressure"],
  ["gliptin", "neuropathy"],
  ["gliflozin", "neuropathy"],
  ["glutide", "neuropathy"],
  ["prazole", "reflux"],
  ["statin", "quiet"],
  ["triptan", "migraine"],
  ["profen", "pain-medication"],
  ["solone", "steroids"],
  ["codone", "pain-medication"],
];

/** Endings of medicines of every kind: a word that ends so and is not known is asked about. */
export const drugEndings = [
  "mab",
  "nib",
  "cillin",
  "mycin",
  "cycline",
  "floxacin",
  "zepam",
  "zolam",
  "azole",
  "vir",
  "platin",
  "taxel",
  "rubicin",
  "limus",
  "setron",
  "prost",
  "stim",
  "zine",
  "pine",
  "idone",
  "oxetine",
];

/** The same by the names that stand on the box, as people say them. From memory. */
export const spokenNames: Record<string, string> = {
  anticoagulant:
    "eliquis xarelto coumadin marcumar sintrom plavix lovenox clexane fragmin pradaxa lixiana savaysa brilinta brilique efient aggrenox pletal",
  steroids: "medrol cortef deltasone decadron kenalog pulmicort",
  osteoporosis: "fosamax prolia evista actonel boniva bonviva aclasta reclast zometa forteo forsteo evenity",
  "blood-pressure":
    "norvasc cozaar diovan zestril tenormin lopressor concor tritace altace micardis benicar coversyl adalat cardura inderal",
  "heart-failure": "lasix entresto aldactone inspra nitrolingual lanoxin bumex",
  "heart-rhythm": "cordarone tambocor multaq",
  neuropathy:
    "ozempic wegovy mounjaro glucophage jardiance forxiga farxiga januvia victoza trulicity lantus novorapid humalog tresiba",
  epilepsy: "keppra lamictal tegretol depakote epilim topamax vimpat dilantin",
  arthritis:
    "humira enbrel remicade simponi cosentyx stelara xeljanz rinvoq olumiant orencia actemra arava plaquenil imuran",
  cancer: "nolvadex femara arimidex aromasin herceptin keytruda opdivo ibrance zoladex zytiga xtandi gleevec glivec",
  eye: "xalatan lumigan travatan cosopt",
  "multiple-sclerosis": "tysabri copaxone gilenya ocrevus avonex rebif tecfidera kesimpta aubagio",
  reflux: "losec prilosec nexium pantoloc pantozol pepcid zantac gaviscon rennie",
  breathless: "ventolin symbicort seretide advair spiriva singulair trelegy",
  "pain-medication":
    "tylenol panadol advil nurofen motrin aleve voltaren celebrex arcoxia lyrica neurontin oxycontin percocet vicodin norco ultram tramal tilidin novalgin durogesic valium xanax",
  gout: "zyloric uloric",
  migraine: "imigran imitrex maxalt zomig aimovig",
  "nerve-disease": "sinemet madopar mirapex requip aricept",
  quiet:
    "lipitor crestor zocor prozac zoloft cipralex lexapro cymbalta effexor wellbutrin euthyrox synthroid levoxyl claritin zyrtec viagra cialis flomax",
};
